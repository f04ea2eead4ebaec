# frozen_string_literal: true

module TileLoom
  module Weave
    # Rows and columns of equal cells over a study area, centred on it, neighbours overlapping by a
    # width on paper; cells that do not touch the area are dropped.
    class Grid
      # More places than this are refused before anything is computed.
      MOST_PLACES = 100_000

      attr_reader :area, :size, :overlap_mm

      def initialize(area:, size:, overlap_mm:)
        @area, @size, @overlap_mm = area, size, overlap_mm.to_f
        refuse_overlap
      end

      def rows = count(area.box.height, size.frame_height_mm)

      def columns = count(area.box.width, size.frame_width_mm)

      # Cells in order, row by row from the north-west; Invalid when there would be too many.
      def cells
        refuse_too_many
        kept = places.select { |_, _, rectangle| area.meets?(rectangle) }
        kept.each_with_index.map do |(row, column, rectangle), index|
          Cell.new(number: index + 1, name: Naming.cell(column, row), row: row, column: column,
            scale: size.scale, ground: rectangle)
        end
      end

      private

      # The smallest ground width of a paper millimetre over the area: the pitch that leaves no gap
      # anywhere, whatever the point scale factor does.
      def units_per_mm
        @units_per_mm ||= begin
          box = area.box
          xs = [box.min_x, box.centre[0], box.max_x]
          ys = [box.min_y, box.centre[1], box.max_y]
          (size.held == "ground") ? xs.product(ys).map { |x, y| size.units_per_mm(x, y) }.min : size.units_per_mm(0, 0)
        end
      end

      def pitch_x = (size.frame_width_mm - overlap_mm) * units_per_mm

      def pitch_y = (size.frame_height_mm - overlap_mm) * units_per_mm

      # Cells n with n·pitch + overlap ≥ extent; a billionth of a cell is forgiven to rounding.
      def count(extent, frame_mm)
        pitch = (frame_mm - overlap_mm) * units_per_mm
        [((extent - overlap_mm * units_per_mm) / pitch - 1e-9).ceil, 1].max
      end

      def places
        centre_x, centre_y = area.box.centre
        (0...rows).flat_map do |row|
          y = centre_y + ((rows - 1) / 2.0 - row) * pitch_y
          (0...columns).map do |column|
            x = centre_x + (column - (columns - 1) / 2.0) * pitch_x
            width, height = size.at(x, y)
            [row, column, Geometry::TurnedRectangle.new(x, y, width, height, 0.0)]
          end
        end
      end

      def refuse_overlap
        smaller = [size.frame_width_mm, size.frame_height_mm].min
        raise Invalid.new("The overlap cannot be less than nothing.", path: "/index/overlap_mm") if overlap_mm.negative?
        return if overlap_mm < smaller * 0.9
        raise Invalid.new("An overlap of #{Units::Number.plain(overlap_mm)} mm leaves nothing of a frame #{Units::Number.plain(smaller, decimals: 1)} mm wide; make it smaller.", path: "/index/overlap_mm")
      end

      def refuse_too_many
        total = rows * columns
        return if total <= MOST_PLACES
        raise Invalid.new("At 1:#{Units::Number.grouped(size.scale)} this would make up to #{Units::Number.grouped(total)} cells (#{Units::Number.grouped(columns)} columns by #{Units::Number.grouped(rows)} rows); the most is #{Units::Number.grouped(MOST_PLACES)}. Choose a smaller scale, such as 1:#{Units::Number.grouped(smaller_scale(total))}.", path: "/index/scale")
      end

      # A scale of the 1-2-5 series at which a few hundred cells remain.
      def smaller_scale(total)
        CoordinateGrid::Series.at_least(size.scale * Math.sqrt(total / 300.0)).to_i
      end
    end
  end
end
