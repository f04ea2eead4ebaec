# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # A graticule on a view of the globe: every meridian and parallel as far as it is in view, to the rim. What is in
    # view is known on the sphere (Crs::Horizon), so that nothing is read off places of the page that may lie beyond it;
    # both families have one interval, which is measured in the middle, where the view is true.
    class GlobeMesh < Mesh
      # Lines are followed in steps of so many degrees: of a disc of 300 mm, an arc is off by 0.003 mm.
      STEP_DEG = 1.0

      def least_units(_axis, length_mm) = degrees_per_mm(view) * length_mm

      private

      def units_per_mm(_axis, view) = degrees_per_mm(view)

      # Degrees of arc that a millimetre in the middle of a view stands for.
      def degrees_per_mm(view)
        @degrees_per_mm ||= {}.compare_by_identity
        @degrees_per_mm[view] ||= begin
          x, y = view.frame.centre
          places = @to_page.inverse(view.to_ground([x, y, x, y + 1.0])).each_slice(2)
          one, other = places.map { |place| Crs::Horizon.vector(*place) }
          across = Math.sqrt(one.zip(other).sum { |a, b| (a - b)**2 })
          2 * Math.asin(across / 2) * 180 / Math::PI
        end
      end

      def measured? = true

      def automatic(_axis)
        view = (@like if @like&.globe?) || @view
        Units::Series.nearest_angle_deg(degrees_per_mm(view) * @target_mm)
      end

      def reach = @reach ||= Geometry::Box.new(*limits)

      def wide_reach = reach

      # [west, south, east, north] in degrees of all that is in view.
      def limits
        lat = middle_latitude
        south, north = [lat - view.horizon.reach_deg, -90.0].max, [lat + view.horizon.reach_deg, 90.0].min
        half = half_longitudes(south, north)
        [middle_longitude - half, south, middle_longitude + half, north]
      end

      # All of them where a pole is in view; else as far as the circle about the middle goes.
      def half_longitudes(south, north)
        return 180.0 if south <= -90 || north >= 90
        share = Math.sin(view.horizon.reach_deg * RADIANS) / Math.cos(middle_latitude * RADIANS)
        Math.asin(share.clamp(-1.0, 1.0)) / RADIANS
      end

      RADIANS = Math::PI / 180

      def middle_longitude = middle[0]

      def middle_latitude = middle[1]

      def middle
        @middle ||=
          @to_page
            .inverse([view.ground.centre_x, view.ground.centre_y])
            .then { |lon, lat| [lon.finite? ? lon : 0.0, lat.finite? ? lat : 0.0] }
      end

      def span(axis)
        low, high = (axis == :x) ? [reach.min_x, reach.max_x] : [reach.min_y, reach.max_y]
        first = ((low - SLACK_DEG - origin(axis)) / interval(axis)).ceil
        last = ((high + SLACK_DEG - origin(axis)) / interval(axis)).floor
        # Once round, the last meridian is the first one again.
        last -= 1 if axis == :x && high - low > 360 - SLACK_DEG && ((last - first) * interval(axis) - 360).abs < 1e-9
        [first, last]
      end

      SLACK_DEG = 1e-6

      def family(axis)
        return [] if trouble
        indexes(axis).filter_map do |index|
          value = origin(axis) + index * interval(axis)
          course = on_page(view.horizon.line(degrees(axis, value.to_f)))
          pieces = course.flat_map { |part| Geometry::SegmentClip.polyline(part, view.frame) }
          pieces = pieces.select { |piece| piece_length(piece) > 0.01 }
          GridLine.new(axis: axis, value: value, index: index, pieces: pieces, course: course) unless pieces.empty?
        end
      end

      # A whole meridian, from pole to pole, or a whole parallel, from behind and round.
      def degrees(axis, value)
        from, to = (axis == :x) ? [-90.0, 90.0] : [middle_longitude - 180, middle_longitude + 180]
        steps = ((to - from) / STEP_DEG).ceil
        (0..steps).flat_map do |step|
          along = from + (to - from) * step / steps
          (axis == :x) ? [value, along] : [along, value]
        end
      end

      def on_page(runs)
        runs.map { |run| view.to_page(@to_page.forward(run)) }.select { |run| run.length >= 4 && run.all?(&:finite?) }
      end

      def meeting =
        super.select do |node|
          lon, lat = origin(:x) + node.x_index * interval(:x), origin(:y) + node.y_index * interval(:y)
          view.horizon.include?(lon.to_f, lat.to_f)
        end
    end
  end
end
