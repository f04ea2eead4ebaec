# frozen_string_literal: true

module TileLoom
  module Values
    # An object of named parts. The builder makes a value of it: a class of Value, or a block that gets the parts by
    # name as keywords.
    class Record < Type
      attr_reader :parts

      # name: among the definitions of the schema, or nil for one that is written out where it is used; more: members
      # of the schema beside those of the parts.
      def initialize(name, parts, about: nil, more: {}, &builder)
        @name, @parts, @about, @more, @builder = name, parts, about, more, builder
      end

      def schema(definitions)
        return body(definitions) unless @name
        unless definitions.key?(@name)
          definitions[@name] = nil
          definitions[@name] = body(definitions)
        end
        {"$ref" => "#/$defs/#{@name}"}
      end

      def read(json, path:, assets:)
        @builder.call(**parts.transform_values { |part| part.read(json, path: path, assets: assets) })
      end

      def identified(json, before) = self.class.identified(parts, json, before)

      # Of an object with these parts.
      def self.identified(parts, json, before)
        return json if json.equal?(before) || !json.is_a?(Hash)
        known = before.is_a?(Hash) ? before : {}
        others =
          parts.each_value.filter_map do |part|
            given = json[part.key] or next
            found = part.type.identified(given, known[part.key])
            [part.key, found] unless found.equal?(given)
          end
        others.empty? ? json : json.merge(others.to_h)
      end

      # The object itself, whether it is referred to or not.
      def body(definitions)
        required = parts.each_value.select(&:required).map(&:key)
        {
          "description" => @about,
          "type" => "object",
          "required" => required.empty? ? nil : required,
          "additionalProperties" => false,
          "properties" => parts.each_value.to_h { |part| [part.key, part.schema(definitions)] },
          **@more
        }.compact
      end
    end
  end
end
