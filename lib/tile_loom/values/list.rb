# frozen_string_literal: true

module TileLoom
  module Values
    # A list of values of one type.
    class List < Type
      def initialize(type, least: nil, most: nil, unique: nil)
        @type = type
        @limits = {"minItems" => least, "maxItems" => most, "uniqueItems" => unique}.compact
      end

      def schema(definitions) = {"type" => "array", **@limits, "items" => @type.schema(definitions)}

      def read(json, path:, assets:)
        json.each_with_index.map { |item, index| @type.read(item, path: "#{path}/#{index}", assets: assets) }.freeze
      end

      def write(value) = value.map { |item| @type.write(item) }
    end
  end
end
