# frozen_string_literal: true

module TileLoom
  # Something of ours that does not work, whatever was asked for: no input can be mended, so it is told to whoever runs
  # the machine. Its sentence stands in the catalogue, as those of refusals do.
  class Failure < StandardError
    attr_reader :code, :values

    # Raises KeyError for a code without a sentence, or a sentence without one of its values.
    def initialize(code, **values)
      @code, @values = code, values.freeze
      super(Sentences.of(code, values))
    end
  end
end
