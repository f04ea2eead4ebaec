# frozen_string_literal: true

module TileLoom
  module Values
    # Ids of the entries of a list, by which changes and all else know them. Ids that are there stay;
    # an entry without one takes that of the entry before it that is like it, or a new one.
    class EntryIds
      # name: that new ids begin with; by: the member by which an entry without id is known again, or nil where it must
      # be the same in all.
      def initialize(name, by: nil)
        @name, @by = name, by
      end

      # Ids of the entries of a list, or nil where not each has one of its own.
      def self.of(list)
        found = list.map { |entry| entry.is_a?(Hash) ? entry["id"] : nil }
        found if found.all?(String) && found.uniq.length == found.length
      end

      # The id of an entry that has none, by its place.
      def placed(index) = "#{@name}-#{index + 1}"

      # entries: JSON objects; before: those that they take the place of. The same with an id each, none twice.
      def filled(entries, before: [])
        return entries if self.class.of(entries)
        named = before.select { |entry| entry.is_a?(Hash) && entry["id"] }
        taken = [*entries, *named].filter_map { |entry| entry["id"] }.tally
        seen = {}
        entries.each_with_index.map do |entry, index|
          id = [entry["id"], same(entry, named)].compact.find { |known| !seen[known] && own?(known, entry, entries) }
          id ||= free(index, taken.merge(seen))
          seen[id] = true
          {"id" => id}.merge(entry, "id" => id)
        end
      end

      private

      def same(entry, named)
        return if entry["id"]
        named.find { |known| @by ? known[@by] == entry[@by] : known.except("id") == entry }&.fetch("id")
      end

      # Does no other entry of the list say that the id is its own?
      def own?(id, entry, entries) = entry["id"] == id || entries.none? { |other| other["id"] == id }

      def free(index, taken)
        index += 1 while taken.key?(placed(index))
        placed(index)
      end
    end
  end
end
