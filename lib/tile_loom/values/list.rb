# frozen_string_literal: true

module TileLoom
  module Values
    # A list of values of one type.
    class List < Type
      ABOUT_IDS = "Each entry has an id; an entry without one is given one."

      # ids: an EntryIds where a person can tell the entries apart, which have a part :id then.
      def initialize(type, least: nil, most: nil, unique: nil, ids: nil)
        @type, @ids = type, ids
        @limits = {"minItems" => least, "maxItems" => most, "uniqueItems" => unique}.compact
      end

      def schema(definitions) =
        {"$comment" => @ids && ABOUT_IDS, "type" => "array", **@limits, "items" => @type.schema(definitions)}.compact

      def read(json, path:, assets:)
        json.each_with_index.map { |item, index| @type.read(item, path: "#{path}/#{index}", assets: assets) }.freeze
      end

      def write(value) = value.map { |item| @type.write(item) }

      def identified(json, before)
        return json if json.equal?(before) || !json.is_a?(Array)
        known = before.is_a?(Array) ? before : []
        named = @ids ? @ids.filled(json, before: known) : json
        by_id = known.grep(Hash).to_h { |entry| [entry["id"], entry] }
        found = named.map { |entry| @type.identified(entry, entry.is_a?(Hash) ? by_id[entry["id"]] : nil) }
        (found.zip(json).all? { |one, other| one.equal?(other) }) ? json : found
      end
    end
  end
end
