# frozen_string_literal: true

module TileLoom
  module Conditions
    # A Condition as a part of a value.
    class ConditionType < Values::Type
      # of_sheet, of_features: see Condition.
      def initialize(of_sheet: false, of_features: true)
        super()
        @of_sheet, @of_features = of_sheet, of_features
      end

      # Of what is true or false.
      def schema(definitions)
        definitions["condition"] ||= {
          "description" => "A condition in OGC CQL2 JSON (OGC 21-065r2): an operation that is true or false.",
          "type" => "object",
          "required" => %w[op args],
          "properties" => {
            "op" => {
              "enum" => Condition.truths
            },
            "args" => {
              "type" => "array"
            }
          }
        }
        {"$ref" => "#/$defs/condition"}
      end

      def read(json, path:, **) = Condition.new(json, path: path, of_sheet: @of_sheet, of_features: @of_features)
    end
  end
end
