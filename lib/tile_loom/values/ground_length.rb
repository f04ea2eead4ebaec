# frozen_string_literal: true

module TileLoom
  module Values
    # A length on the ground with its unit, such as "50 m": a Units::Length.
    class GroundLength < Type
      UNITS = Units::LengthUnit::ALL.keys.join("|").freeze
      PATTERN = "^\\s*\\d{1,12}(\\.\\d{1,12})?\\s*(#{UNITS})\\s*$".freeze

      def schema(definitions)
        definitions["groundLength"] ||= {"type" => "string", "pattern" => PATTERN}
        {"$ref" => "#/$defs/groundLength"}
      end

      def read(json, **) = Units::Length.parse(json)

      def write(value) = value.to_s
    end
  end
end
