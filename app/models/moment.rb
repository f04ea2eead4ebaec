# frozen_string_literal: true

require "json"
require "zlib"

module App
  # A book as it was behind one of its edits. rows: of its cells, as GridIndex has them, in their order; generated_with:
  # what the index was generated with then.
  Moment =
    Struct.new(:position, :document, :rows, :generated_with, keyword_init: true) do
      # As the book stands. The book is locked by the caller, or what it reads is of one moment otherwise.
      def self.now(book) =
        new(
          position: book.edit_position,
          document: book.document,
          rows: book.index.rows,
          generated_with: book.index.generated_with
        )

      # What BookState keeps.
      def self.unpacked(position, bytes)
        kept = JSON.parse(Zlib::Inflate.inflate(bytes))
        new(position: position, **kept.transform_keys(&:to_sym))
      end

      def packed =
        Zlib::Deflate.deflate(
          JSON.generate({"document" => document, "rows" => rows, "generated_with" => generated_with})
        )

      def core_cells = rows.map { |row| Cell.core_of(row) }

      # The same behind edits that follow, or before those that come before.
      def walked(edits, direction)
        document, rows, with = self.document, self.rows.to_h { |row| [row["cell_id"], row] }, generated_with
        edits.each do |edit|
          document = edit.walked(document, direction)
          cells = edit.cell_change or next
          cells = cells.reversed if direction == "back"
          rows, with = cells.walked(rows), cells.generated_with.last
        end
        self.class.new(document: document, rows: rows.values.sort_by { |row| row["number"] }, generated_with: with)
      end
    end
end
