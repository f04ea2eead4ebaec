# frozen_string_literal: true

module TileLoom
  # Input that is refused: a sentence that says what is wrong and what to do,
  # and the path of the offending value in the book document ("/index/scale").
  class Invalid < StandardError
    attr_reader :path, :detail

    # detail: what belongs into a log and not into the sentence, such as where on the machine a file lies.
    def initialize(message, path: nil, detail: nil)
      super(message)
      @path, @detail = path, detail
    end

    def to_h = {path: path, message: message}
  end
end
