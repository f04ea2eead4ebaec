# frozen_string_literal: true

module TileLoom
  module Data
    # The attributes of the features of a Block: the length of the list of their names (uint32), this list as JSON, then
    # as one JSON list of each feature the list of its values. They are read when they are asked for.
    class BlockAttributes
      # Stands for a field that a feature does not have; no value is a list.
      ABSENT = [].freeze

      # rows: of each feature its values as a JSON list; layouts: of each the names that these belong to.
      def self.dump(rows, layouts)
        names = layouts.uniq.flatten.uniq
        rows = arranged(rows, layouts, names) if layouts.any? { |own| own != names }
        head = JSON.generate(names)
        [head.bytesize].pack("V") << head.b << "[#{rows.join(",")}]".b
      end

      # rows with their values where names has them.
      def self.arranged(rows, layouts, names)
        rows
          .zip(layouts)
          .map do |row, own|
            values = own.zip(JSON.parse(row)).to_h
            JSON.generate(names.map { |name| values.fetch(name, ABSENT) })
          end
      end

      def initialize(bytes)
        size = bytes.unpack1("V")
        @names, @rows =
          [bytes.byteslice(4, size), bytes.byteslice(4 + size..)].map do |part|
            JSON.parse(part.force_encoding(Encoding::UTF_8), freeze: true)
          end
      end

      # {name → value} of values in the order of their names; a list may end early.
      def self.named(names, values)
        found = {}
        values.each_with_index { |value, index| found[names[index]] = value unless value.is_a?(Array) }
        found
      end

      # {name → value} of the feature at a place.
      def [](place) = BlockAttributes.named(@names, @rows[place])
    end
  end
end
