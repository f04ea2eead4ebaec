# frozen_string_literal: true

module TileLoom
  module Bar
    # A bar whose length follows the latitude: a row for each round latitude of the frame, its marks joined by
    # curves. For cylindrical references at small scales, where one bar would be off in most of the map.
    class ByLatitude
      ROWS, ROW_MM, STEPS = 4, 3.2, 24

      # style: a Style; view: of the frame.
      def initialize(style:, view:, box:, look:, path: nil)
        @style, @view, @box, @look, @path = style, view, box, look, path
      end

      def nodes
        rows = latitudes.map { |lat| [lat, y(lat)] }
        curves = ruling.values.map { |value| samples.flat_map { |lat| [x(value, lat), y(lat)] } }
        levels = rows.map { |lat, at| [x(ruling.values.first, lat), at, x(ruling.values.last, lat), at] }
        [
          Scene::Path.new(runs: levels + curves, closed: false, stroke: @look.stroke),
          *rows.map { |lat, at| text(@box.min_x, at + height / 2, caption(lat)) },
          *numbers
        ]
      end

      # The longest one that stands in the box at every latitude, with its labels.
      def ruling
        @ruling ||=
          begin
            room = @box.width - column
            per_mm = latitudes.map { |lat| measure(lat).per_mm }.min
            Ruling
              .fitting(room * per_mm, @style.family(@style.units), @style)
              .find do |found|
                found.metres / per_mm + beyond(found) <= room && found.metres / per_mm >= Drawing::LEAST_MM
              end ||
              raise(
                Refusal.new(
                  "bar.no_length_at_all_latitudes",
                  width: Units::Number.plain(@box.width, decimals: 1),
                  at: @path
                )
              )
          end
      end

      # Latitudes that are rows, from north to south.
      def latitudes
        @latitudes ||=
          begin
            low, high = edge_latitudes
            @step = step = Units::Series.nearest_angle_deg((high - low) / ROWS)
            ((low / step).ceil..(high / step).floor).map { |n| n * step }.reverse
          end
      end

      private

      def height = @look.face.cap_height_mm(@look.size_pt)

      def edge_latitudes
        x, = @view.frame.centre
        @view
          .to_geographic
          .forward(@view.to_ground([x, @view.frame.min_y, x, @view.frame.max_y]))
          .each_slice(2)
          .map(&:last)
          .sort
      end

      def samples = @samples ||= (0..STEPS).map { |n| latitudes.first + (latitudes.last - latitudes.first) * n / STEPS }

      # Evenly by latitude, however the frame shows them.
      def y(lat)
        span = ROW_MM * [latitudes.length - 1, 1].max
        @box.min_y + height * 1.6 + height / 2 +
          span * ((latitudes.first - lat) / [(latitudes.first - latitudes.last).to_f, 1e-9].max).to_f
      end

      # What the names of the latitudes take.
      def column = @column ||= latitudes.map { |lat| width(caption(lat)) }.max + width("0") / 2 + 1.0

      # What the last label takes beyond the bar.
      def beyond(found) = width(label(found, found.values.last)) - width(number(found.values.last)) / 2

      def width(string) = @look.face.width_mm(string, @look.size_pt)

      # Where the bar is read at a latitude.
      def measure(lat)
        lon, = @view.centre_lon_lat
        (@measures ||= {})[lat] ||= View::Measure.new(
          @view,
          at: @view.to_page(@view.to_geographic.inverse([lon, lat.to_f]))
        )
      end

      # A mark's place at a latitude, measured there.
      def x(value, lat) =
        @box.min_x + column + measure(lat).paper_mm(ruling.metres) * ((value - ruling.values.first) / ruling.whole).to_f

      def numbers =
        ruling.values.map do |value|
          text(x(value, latitudes.first) - width(number(value)) / 2, @box.min_y + height, label(ruling, value))
        end

      def number(value) = @look.language.number(value.abs, decimals: Units::Number.places(value) || 3)

      def label(found, value) =
        (value == found.values.last) ? "#{number(value)} #{found.unit.symbol(@look.language, value)}" : number(value)

      # "60°14′N"
      def caption(lat) =
        Units::Angle.dms(
          lat,
          positive: lat.zero? ? "" : @look.language.hemisphere("north"),
          negative: @look.language.hemisphere("south"),
          step_deg: @step
        )

      def text(...) = @look.text(...)
    end
  end
end
