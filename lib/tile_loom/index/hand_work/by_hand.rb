# frozen_string_literal: true

module TileLoom
  module Index
    # What makes the cells of a book others than its index generates them: moved, dropped, added, renamed, rescaled,
    # kept, in another order. A document carries it, so that the book is the same wherever it is opened.
    class ByHand < Values::Value
      MOST = Strip::MOST_CELLS

      define "cells_by_hand", about: "What was done to single cells by hand."
      part :cells, list(CellByHand.type, most: MOST), default: [], about: "Cells that are not as they are generated."
      part :gone,
        list(text(least: 1, most: Naming::LONGEST), most: MOST),
        default: [],
        about: "Names of generated cells that are not in the book."
      part :frame_mm,
        Values::List.new(Values::Number.new(above: 0, most: 1e6), least: 2, most: 2),
        about: "Width and height of the frame that the cells were generated for, where it is another by now."
      part :data_since,
        list(Values::Types::ID, most: 500),
        default: [],
        about: "Layers of the study area of which newer data came since the cells were generated."

      # The cells of a book whose index generates the fresh ones. Refusal where two come to have one name.
      def applied(fresh)
        instead = cells.select(&:of).to_h { |entry| [entry.of, entry] }
        known = fresh.to_h { |cell| [cell.name, true] }
        left = gone.to_h { |name| [name, true] }
        base = fresh.filter_map { |cell| instead[cell.name] || (cell unless left[cell.name]) }
        base += cells.reject { |entry| entry.of && known[entry.of] }
        Order.counted(distinct(in_place(base).map { |item| item.is_a?(CellByHand) ? item.cell : item }))
      end

      private

      def settle
        twice = cells.filter_map(&:id).tally.find { |_, count| count > 1 } or return
        raise Refusal.new("index.cell_id_twice", id: twice.first, at: "#{path}/cells")
      end

      # Those that have a place of their own come to it, the first place first.
      def in_place(base)
        placed, rest = base.partition { |item| item.is_a?(CellByHand) && item.place }
        placed.sort_by(&:place).each { |entry| rest.insert([entry.place - 1, rest.length].min, entry) }
        rest
      end

      def distinct(list)
        seen = {}
        list.each do |cell|
          raise Refusal.new("index.name_twice", name: cell.name, at: "#{path}/cells") if seen.key?(cell.name.downcase)
          seen[cell.name.downcase] = true
        end
      end
    end
  end
end
