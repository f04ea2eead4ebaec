# frozen_string_literal: true

module TileLoom
  module Data
    # What another version of a layer brings: which features are added, removed, changed, unchanged. Features are
    # matched by a field that tells them apart in both versions, else by being the same.
    class Difference
      # A feature as it came: its fields, and what tells its geometry from another (equal for equal geometry).
      Row = Struct.new(:properties, :shape)

      NAMED = 5

      # Each a list of Rows.
      def initialize(before, after)
        @before, @after = before, after
      end

      # Sentences, the counts first.
      def sentences
        old, new = keyed(@before), keyed(@after)
        added, removed = new.keys - old.keys, old.keys - new.keys
        changed = (old.keys & new.keys).reject { |key| old[key] == new[key] }
        same = new.length - added.length - changed.length
        [
          "#{added.length} added, #{removed.length} removed, #{changed.length} changed, #{same} " \
            "unchanged#{" (matched by #{field})" if field}.",
          *list("Added", added),
          *list("Removed", removed),
          *list("Changed", changed)
        ]
      end

      private

      def field
        return @field if defined?(@field)
        @field = TellingField.of(*[@before, @after].map { |rows| rows.map(&:properties) })
      end

      # identity → what it is made of. Without a field that tells them apart the whole is the identity, and equal ones
      # are counted.
      def keyed(rows)
        return rows.to_h { |row| [row.properties[field], [row.properties, row.shape]] } if field
        seen = Hash.new(0)
        rows.to_h { |row| [row.properties, row.shape].then { |whole| [[whole, seen[whole] += 1], whole] } }
      end

      def list(title, keys)
        return [] if keys.empty? || !field
        ["#{title}: #{Sentences.listed(keys, NAMED)}."]
      end
    end
  end
end
