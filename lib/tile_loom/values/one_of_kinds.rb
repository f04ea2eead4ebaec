# frozen_string_literal: true

module TileLoom
  module Values
    # A value of one of several kinds, which its part "kind" names: a class of Value that tells how it is read.
    class OneOfKinds < Type
      # name: among the definitions of the schema; value_class: what all kinds have in common; required: keys that
      # all of them must have. The block gives the module of the kinds (see Kinds) when it is asked for.
      def initialize(name, value_class, required:, &kinds)
        @name, @value_class, @required, @kinds = name, value_class, required, kinds
      end

      def schema(definitions)
        unless definitions.key?(@name)
          definitions[@name] = nil
          kinds = @kinds.call.all.transform_values { |kind| record(kind).schema(definitions) }
          definitions[@name] = {
            "type" => "object",
            "required" => @required,
            "properties" => {
              "kind" => {
                "enum" => kinds.keys
              }
            },
            "allOf" =>
              kinds.map do |key, reference|
                {"if" => {"properties" => {"kind" => {"const" => key}}}, "then" => reference}
              end
          }
        end
        {"$ref" => "#/$defs/#{@name}"}
      end

      def read(json, path:, assets:) = @value_class.read(json, path: path, assets: assets)

      def identified(json, before)
        kind = json.is_a?(Hash) && @kinds.call.all[json["kind"]]
        kind ? Record.identified(kind.parts, json, before) : json
      end

      def write(value) = value.given

      private

      # The definition of a kind is called after it.
      def record(kind)
        own = Part.new(:kind, Plain.new({"const" => kind.key}), required: true)
        Record.new("#{kind.key}_#{@name}", kind.parts.merge(kind: own), more: kind.more)
      end
    end
  end
end
