# frozen_string_literal: true

module TileLoom
  module Bar
    # A bar whose length follows the latitude: a row for each round latitude of the frame, its marks joined by
    # curves. For cylindrical references at small scales, where one bar would be off in most of the map.
    class ByLatitude
      ROWS, ROW_MM, STEPS = 4, 3.2, 24

      # drawing: the Drawing that it takes the place of; view: of the frame.
      def initialize(view:, box:, ruling:, look:)
        @view, @box, @ruling, @look = view, box, ruling, look
      end

      def nodes
        @label = latitudes.map { |lat| @look.face.width_mm(caption(lat), @look.size_pt) }.max + 1.0
        rows = latitudes.map { |lat| [lat, y(lat)] }
        curves = @ruling.values.map { |value| samples.flat_map { |lat| [x(value, lat), y(lat)] } }
        levels = rows.map { |lat, at| [x(@ruling.values.first, lat), at, x(@ruling.values.last, lat), at] }
        [Scene::Path.new(runs: levels + curves, closed: false, stroke: @look.stroke), *rows.map { |lat, at| text(@box.min_x, at + height / 2, caption(lat)) }, *numbers]
      end

      # Latitudes that are rows, from north to south.
      def latitudes
        @latitudes ||= begin
          low, high = edge_latitudes
          step = CoordinateGrid::Series.nearest_angle_deg((high - low) / ROWS)
          ((low / step).ceil..(high / step).floor).map { |n| n * step }.reverse
        end
      end

      private

      def height = @look.face.cap_height_mm(@look.size_pt)

      def edge_latitudes
        x, = @view.frame.centre
        @view.to_geographic.forward(@view.to_ground([x, @view.frame.min_y, x, @view.frame.max_y])).each_slice(2).map(&:last).sort
      end

      def samples = @samples ||= (0..STEPS).map { |n| latitudes.first + (latitudes.last - latitudes.first) * n / STEPS }

      # Evenly by latitude, however the frame shows them.
      def y(lat)
        span = ROW_MM * [latitudes.length - 1, 1].max
        @box.min_y + height * 1.6 + height / 2 + span * ((latitudes.first - lat) / [(latitudes.first - latitudes.last).to_f, 1e-9].max).to_f
      end

      # A mark's place at a latitude, measured there.
      def x(value, lat)
        lon, = @view.centre_lon_lat
        at = @view.to_page(@view.to_geographic.inverse([lon, lat.to_f]))
        @box.min_x + @label + Measure.new(@view, at: at).paper_mm(@ruling.metres) * ((value - @ruling.values.first) / @ruling.whole).to_f
      end

      def numbers
        last = @ruling.values.last
        @ruling.values.map do |value|
          string = Units::Number.plain(value.abs.to_f) + ((value == last) ? " #{@ruling.unit.symbol}" : "")
          at = x(value, latitudes.first) - @look.face.width_mm(Units::Number.plain(value.abs.to_f), @look.size_pt) / 2
          text(at, @box.min_y + height, string)
        end
      end

      def caption(lat) = CoordinateGrid::Note.angle(lat.abs) + (if lat.zero?
                                                                  ""
                                                                else
                                                                  (lat.negative? ? "S" : "N")
                         end)

      def text(x, y, string) = Scene::Text.new(x: x, y: y, string: string, face: @look.face, size_pt: @look.size_pt, colour: @look.colour, halo: @look.halo)
    end
  end
end
