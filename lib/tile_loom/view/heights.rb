# frozen_string_literal: true

module TileLoom
  module View
    # The lowest and the highest value of a raster in a view: of all its pixels whose middles lie in the frame.
    class Heights
      # Pixels that are looked at; of more, a coarser level, whose values are averages.
      MOST_PIXELS = 40_000_000

      # raster: see Raster::Prepared.
      def initialize(raster, view)
        @raster, @view = raster, view
      end

      # [lowest, highest], or nil where it has none here.
      def ends
        box = window or return nil
        bands, mask = @raster.window(level, *box)
        inside = within(*box)
        mask = mask ? mask & inside : inside
        values = bands[0].cast(:double)
        return nil if mask.max.zero?
        known = values.relational(values, :equal) & mask
        [known.ifthenelse(values, 1e300).min, known.ifthenelse(values, -1e300).max].then do |low, high|
          (low > high) ? nil : [low, high]
        end
      end

      private

      # Flat corners of the frame in pixels of the finest level.
      def corners = @corners ||= Raster::Extent.new(@raster.grid, @view.crs).on_grid(@view.ground.corners)

      def box = Geometry::Box.around(corners)

      def level
        @level ||=
          @raster.levels.find { |level| box.width / level.factor[0] * box.height / level.factor[1] <= MOST_PIXELS } ||
          @raster.levels.last
      end

      # left, top, width, height in pixels of the level, within the raster.
      def window
        return nil unless corners.all?(&:finite?)
        fx, fy = level.factor
        left, top = [(box.min_x / fx).floor, 0].max, [(box.min_y / fy).floor, 0].max
        right, bottom = [(box.max_x / fx).ceil, level.width].min, [(box.max_y / fy).ceil, level.height].min
        [left, top, right - left, bottom - top] if right > left && bottom > top
      end

      # 255 where a pixel's middle lies in the frame, by the side of each of its edges on which it is.
      def within(left, top, width, height)
        fx, fy = level.factor
        places = Vips::Image.xyz(width, height)
        x, y = (places[0] + (left + 0.5)) * fx, (places[1] + (top + 0.5)) * fy
        ring = corners.each_slice(2).to_a
        sides = ring.each_index.map { |index| [ring[index], ring[(index + 1) % ring.length]] }
        turn = sides.sum { |(x0, y0), (x1, y1)| x0 * y1 - x1 * y0 }.positive? ? 1 : -1
        sides
          .map { |(x0, y0), (x1, y1)| ((y - y0) * ((x1 - x0) * turn) - (x - x0) * ((y1 - y0) * turn)) >= -1e-9 }
          .reduce { |one, other| one & other }
      end
    end
  end
end
