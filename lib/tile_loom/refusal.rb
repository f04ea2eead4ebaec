# frozen_string_literal: true

module TileLoom
  # Input that is refused. It carries a code, the values that its sentence names, and the JSON pointer (RFC 6901) of
  # what is refused in the book document or the request ("/index/scale"), or nil. The sentence stands in the catalogue:
  # it says what is wrong and what to do. What goes wrong through no one's input is a Failure.
  class Refusal < StandardError
    # code: String, a key of the catalogue; values: Symbol → what stands in the sentence.
    attr_reader :code, :values, :pointer, :detail

    # detail: what belongs into a log and not into the sentence, such as where on the machine a file lies.
    # Raises KeyError for a code without a sentence, or a sentence without one of its values.
    def initialize(code, at: nil, detail: nil, **values)
      @code, @values, @pointer, @detail = code, values.freeze, at, detail
      super(Sentences.of(code, values))
    end

    # The same of what lies at the pointer, where it does not say yet what it is about.
    def at(pointer) = @pointer ? self : dup.tap { |same| same.pointer = pointer }

    # As it goes out to programs.
    def to_h = {code: code, values: values.transform_values(&:to_s), path: pointer, message: message}

    protected

    attr_writer :pointer
  end
end
