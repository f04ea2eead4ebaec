# frozen_string_literal: true

module TileLoom
  module MapLegend
    # The rows of a legend in their order: as the map has them, or as they were arranged by hand. What is new on the map
    # stands where the map has it, behind its neighbour above; what is gone keeps its row and shows nothing.
    class Arrangement
      # rows: Row list by hand; known: Symbology::LegendEntry list of all that the map can show, the topmost first;
      # headings: "none", "layers" or "groups", above the rows of a map that nobody has arranged; by_hand: nothing comes
      # in that was not put there.
      def initialize(rows:, known:, headings: "none", by_hand: false)
        @rows, @known, @headings, @by_hand = rows, known, headings, by_hand
      end

      # Placed list of all rows, whatever a sheet shows of them; entries: those that it shows.
      def placed(entries)
        on_sheet = entries.to_h { |entry| [entry.key, entry] }
        list.map do |row, index, fresh|
          of_map = row.keys.filter_map { |key| by_key[key] }
          shown = row.keys.filter_map { |key| on_sheet[key] }
          Placed.new(row: row, entries: shown, known: of_map, index: index, fresh: fresh)
        end
      end

      # Those of a Placed list that a sheet (Compose::SheetComposer) has: no heading without a row below it.
      def self.shown(all, sheet)
        shown =
          all.select { |placed| !placed.row.hidden? && placed.row.on?(sheet) && placed.row.shown?(placed.entries) }
        shown.each_with_index.filter_map do |placed, index|
          next placed unless placed.row.heading?
          below = shown.drop(index + 1).take_while { |other| !other.row.heading? }
          placed if below.any?
        end
      end

      private

      def by_key = @by_key ||= @known.to_h { |entry| [entry.key, entry] }

      # [row, index, fresh] in order.
      def list = @list ||= (@rows.empty? && !@by_hand) ? as_on_map : arranged

      def as_on_map
        chunks =
          if @headings == "none"
            [[nil, @known]]
          else
            @known.chunk_while { |a, b| head(a) == head(b) }.map { |list| [head(list.first), list] }
          end
        chunks.flat_map do |title, entries|
          rows = entries.map { |entry| [Rows::Entry.of(entry), nil, false] }
          # A layer of one row needs no heading of the same words.
          if title.nil? || (entries.one? && @headings == "layers")
            rows
          else
            [[Rows::Heading.of(title), nil, false], *rows]
          end
        end
      end

      def head(entry) = (@headings == "groups") ? entry.layer.group : entry.layer.title

      # Rows by hand, and what is new on the map: behind the nearest above it on the map that has a row, before the
      # nearest below where none above it has.
      def arranged
        return @rows.each_with_index.map { |row, index| [row, index, false] } if @by_hand
        before, behind = waiting
        rows =
          @rows.each_with_index.flat_map do |row, index|
            [*fresh(before[index]), [row, index, false], *fresh(behind[index])]
          end
        rows + fresh(before[nil])
      end

      def fresh(entries) = entries.to_a.map { |entry| [Rows::Entry.of(entry), nil, true] }

      # New entries by the index of the row that they wait before, and of that which they wait behind.
      def waiting
        rows = @rows.each_with_index.flat_map { |row, index| row.keys.map { |key| [key, index] } }.to_h
        before, behind, first, above = {}, {}, [], nil
        @known.each do |entry|
          index = rows[entry.key]
          if index.nil?
            (above ? behind[above] ||= [] : first) << entry
          else
            before[index] = first if above.nil?
            above = index
          end
        end
        before[nil] = first unless above
        [before, behind]
      end
    end
  end
end
