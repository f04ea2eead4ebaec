# frozen_string_literal: true

module TileLoom
  module Index
    # What cells are called: column and row ("A1"), numbers ("07"), or an attribute of their feature.
    class Naming < Values::Value
      ALPHABET = ("A".."Z").to_a.freeze
      # I and O are easily read as 1 and 0.
      WITHOUT_IO = (ALPHABET - %w[I O]).freeze
      LONGEST = 80

      # 0 → A, 25 → Z, 26 → AA (ISO/IEC 29500-1, cell references).
      def self.letters(index, alphabet = ALPHABET)
        text = +""
        loop do
          text.prepend(alphabet[index % alphabet.length])
          index = index / alphabet.length - 1
          return text if index.negative?
        end
      end

      def self.cell(column, row) = "#{letters(column)}#{row + 1}"

      define
      part :kind,
        choice(places: "by column and row", numbers: "by number", field: "by a field"),
        default: "places",
        about: "By column and row, by number, or by a field of the feature."
      part :columns, choice(letters: "letters", numbers: "numbers"), default: "letters"
      part :rows, choice(numbers: "numbers", letters: "letters"), default: "numbers"
      part :first, choice(column: "the column", row: "the row"), default: "column"
      part :separator, text(most: 5), default: ""
      part :rows_from, choice(north: "the north", south: "the south"), default: "north"
      part :digits, whole(1..9), default: 1
      part :prefix, text(most: 40), default: ""
      part :without_io, flag, default: false, about: "The letters I and O are left out."
      part :field, text(least: 1, most: 200)

      # The name of a place; row, column: from 0 at the north-west; rows: how many there are.
      def place(column, row, rows)
        row = rows - 1 - row if rows_from == "south"
        written = [written(column, columns), written(row, self.rows)]
        written.reverse! if first == "row"
        "#{prefix}#{written.join(separator)}"
      end

      def number(number) = "#{prefix}#{number.to_s.rjust(digits, "0")}"

      def feature(attributes, fallback) =
        "#{prefix}#{attributes[field].to_s.strip.then { |text| text.empty? ? fallback : text }}"[0, LONGEST]

      # Two names of the pattern; those of attributes are not known beforehand.
      def example =
        {"places" => [place(0, 0, 1), place(1, 0, 1)], "numbers" => [number(1), number(2)]}.fetch(kind, [])

      # The cells with names of this pattern, none twice. own: names that cells bring along (of features), in
      # the order of the cells, or nil.
      def named(cells, own: nil)
        rows = cells.map(&:row).max.to_i + 1
        taken = {}
        cells.each_with_index.map do |cell, index|
          wanted =
            own&.at(index) ||
            if kind == "numbers"
              number(cell.number)
            else
              place(cell.column, cell.row, rows)
            end
          name = own ? self.class.ordinal(wanted, taken) : self.class.free(wanted, taken)
          taken[name.downcase] = true
          cell.with(name: name)
        end
      end

      # The name itself, or with the first of a, b, … z, aa, … that makes it free.
      def self.free(wanted, taken)
        return wanted unless taken.key?(wanted.downcase)
        (0..)
          .lazy
          .map { |index| "#{wanted[0, LONGEST - 4]}#{letters(index).downcase}" }
          .find { |name| !taken.key?(name.downcase) }
      end

      # A name that several features have: with the first number from 2 that makes it free.
      def self.ordinal(wanted, taken)
        return wanted unless taken.key?(wanted.downcase)
        (2..).lazy.map { |number| "#{wanted[0, LONGEST - 8]} (#{number})" }.find { |name| !taken.key?(name.downcase) }
      end

      private

      def written(index, how) =
        if how == "letters"
          self.class.letters(index, without_io? ? WITHOUT_IO : ALPHABET)
        else
          (index + 1).to_s.rjust(digits, "0")
        end
    end
  end
end
