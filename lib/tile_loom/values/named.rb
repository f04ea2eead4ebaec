# frozen_string_literal: true

module TileLoom
  module Values
    # A type that stands by its name among the definitions of the schema.
    class Named < Type
      def initialize(name, type, about: nil)
        @name, @type, @about = name, type, about
      end

      def schema(definitions)
        definitions[@name] ||= {"description" => @about, **@type.schema(definitions)}.compact
        {"$ref" => "#/$defs/#{@name}"}
      end

      def read(json, **context) = @type.read(json, **context)

      def identified(json, before) = @type.identified(json, before)

      def write(value) = @type.write(value)
    end
  end
end
