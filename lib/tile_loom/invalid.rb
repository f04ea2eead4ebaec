# frozen_string_literal: true

module TileLoom
  # Input that is refused: a sentence that says what is wrong and what to do,
  # and the path of the offending value in the book document ("/index/scale").
  class Invalid < StandardError
    attr_reader :path

    def initialize(message, path: nil)
      super(message)
      @path = path
    end

    def to_h = {path: path, message: message}
  end
end
