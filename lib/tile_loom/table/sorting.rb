# frozen_string_literal: true

require "naturally"

module TileLoom
  module Table
    # By which field the records of a table are sorted.
    class Sorting < Values::Value
      define "table_sorting"
      part :field, text(least: 1, most: 200), required: true
      part :descending, flag, default: false

      # Records ({field → value}) by several of them, the first before all; those without a value come last.
      def self.sorted(records, sortings)
        records
          .each_with_index
          .sort do |(one, place), (other, other_place)|
            order = sortings.lazy.map { |sorting| sorting.compare(one, other) }.find { |found| !found.zero? }
            order || place <=> other_place
          end
          .map(&:first)
      end

      # -1, 0 or 1: numbers by size, before texts; texts naturally (2 before 10).
      def compare(one, other)
        mine, others = one[field], other[field]
        return 0 if mine.nil? && others.nil?
        return mine.nil? ? 1 : -1 if mine.nil? || others.nil?
        found = rank(mine) <=> rank(others)
        found = keyed(mine) <=> keyed(others) if found.zero?
        (descending? ? -found.to_i : found.to_i)
      end

      private

      def rank(value) = value.is_a?(Numeric) ? 0 : 1

      def keyed(value) = value.is_a?(Numeric) ? value : Naturally.normalize(value.to_s)
    end
  end
end
