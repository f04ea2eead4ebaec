# frozen_string_literal: true

module TileLoom
  module Index
    # Cells that are moved by hand, and those beside them: what lies between them on paper, and by which shifts their
    # edges meet.
    class Alignment
      # mm on paper to the cell of that name; below nothing they overlap.
      Gap =
        Struct.new(:name, :mm, keyword_init: true) do
          # "B2: 3.0 mm overlap".
          def to_s
            return "#{name}: edge to edge" if mm.abs < 0.05
            "#{name}: #{format("%.1f", mm.abs)} mm #{mm.negative? ? "overlap" : "gap"}"
          end
        end

      MOST_GAPS = 4
      # Cells further off than so many of their longer sides are not beside them, wherever they are moved on a screen.
      REACH_SIDES = 8
      # Of a cell's longer side: what is further off is no neighbour.
      NEAR = 1.0 / 3
      # A corner comes to multiples of a round ground length of about so much on paper.
      ROUND_MM = 20

      # cells: Cells of the whole index; numbers: of those in the hand, the first of which gives the scale; size: scale
      # → CellSize; overlap_mm: [across, down] that neighbours are to have.
      def initialize(cells, numbers, size:, overlap_mm: [0.0, 0.0])
        by_number = cells.to_h { |cell| [cell.number, cell] }
        @held = by_number.values_at(*numbers).compact
        raise Refusal.new("index.no_cell_selected") if @held.empty?
        @beside = by_number.except(*numbers).values.select { |cell| beside?(cell) }
        @size, @overlap_mm = size, overlap_mm
      end

      # From the first cell, shifted by dx and dy in ground units, to those near by; the nearest first, and of those
      # that are alike the one whose middle is nearest.
      def gaps(dx = 0.0, dy = 0.0)
        ground = first.ground.moved(dx, dy)
        per_mm = units_per_mm(ground)
        @beside
          .map { |cell| [cell, ground.apart(cell.ground)] }
          .select { |_, apart| apart < [ground.width, ground.height].max * NEAR }
          .sort_by { |cell, apart| [(apart / per_mm).abs.round(2), between(ground, cell.ground)] }
          .first(MOST_GAPS)
          .map { |cell, apart| Gap.new(name: cell.name, mm: apart / per_mm) }
      end

      # "moved by 2.0 mm east, -1.5 mm north on paper".
      def moved(dx, dy)
        per_mm = units_per_mm(first.ground.moved(dx, dy))
        "moved by #{format("%.1f", dx / per_mm)} mm east, #{format("%.1f", dy / per_mm)} mm north on paper"
      end

      # Shifts in ground units, [east, north], by which an edge of the cells meets a neighbour's, overlaps it as wished,
      # or comes into line with it. None for rotated cells.
      def shifts
        return [], [] unless @held.all? { |cell| cell.ground.upright? }
        per_mm = units_per_mm(first.ground)
        [%i[min_x max_x], %i[min_y max_y]].each_with_index.map do |(low, high), axis|
          meetings(box.public_send(low), box.public_send(high), @overlap_mm[axis] * per_mm) do |other|
            [other.public_send(low), other.public_send(high)]
          end
        end
      end

      # The step of round coordinates in ground units, and the corner that comes to them.
      def round
        step = 10.0**Math.log10(units_per_mm(first.ground) * ROUND_MM).round
        {step: step, corner: [box.min_x, box.min_y]}
      end

      private

      def first = @held.first

      def between(one, other) = Math.hypot(one.centre_x - other.centre_x, one.centre_y - other.centre_y)

      def box = @box ||= Cell.box(@held)

      def beside?(cell)
        @reach ||= @held.flat_map { |own| [own.ground.width, own.ground.height] }.max * REACH_SIDES
        @held.any? do |own|
          (own.ground.centre_x - cell.ground.centre_x).abs < @reach &&
            (own.ground.centre_y - cell.ground.centre_y).abs < @reach
        end
      end

      def meetings(low, high, overlap)
        @beside
          .flat_map do |cell|
            from, to = yield cell.ground.box
            [to - low, from - high, to - overlap - low, from + overlap - high, from - low, to - high]
          end
          .uniq
          .sort
      end

      def units_per_mm(ground) = @size.call(first.scale).units_per_mm(ground.centre_x, ground.centre_y)
    end
  end
end
