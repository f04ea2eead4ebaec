# frozen_string_literal: true

module TileLoom
  module Data
    # The attributes of the features of a Block, field by field: the length of a list of [name, bytes] (uint32), this
    # list as JSON, then the values of each field as a JSON list. What is not asked for is not read.
    class BlockAttributes
      # Stands for a field that a feature does not have; no value is a list.
      ABSENT = [].freeze

      # rows: of each feature a value for each name, or ABSENT.
      def self.dump(names, rows)
        lists = names.each_index.map { |index| JSON.generate(rows.map { |row| row[index] }) }
        head = JSON.generate(names.zip(lists.map(&:bytesize)))
        [head.bytesize].pack("V") << head.b << lists.join.b
      end

      def initialize(bytes)
        @bytes = bytes
        size = bytes.unpack1("V")
        at = 4 + size
        @places =
          JSON
            .parse(bytes.byteslice(4, size).force_encoding(Encoding::UTF_8))
            .to_h do |name, length|
              at += length
              [name, [at - length, length]]
            end
        @lists = {}
      end

      def names = @places.keys

      # {name → value} of the feature at a place.
      def [](place)
        @places.each_key.with_object({}) do |name, found|
          value = (@lists[name] ||= read(name))[place]
          found[name] = value unless value.is_a?(Array)
        end
      end

      private

      def read(name) = JSON.parse(@bytes.byteslice(*@places.fetch(name)).force_encoding(Encoding::UTF_8), freeze: true)
    end
  end
end
