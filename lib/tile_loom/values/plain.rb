# frozen_string_literal: true

module TileLoom
  module Values
    # JSON of a schema that is written out; the block reads it, else it stays as it is.
    class Plain < Type
      def initialize(schema, &reading)
        @schema, @reading = schema, reading
      end

      def schema(_definitions) = @schema

      def read(json, **) = @reading ? @reading.call(json) : json
    end
  end
end
