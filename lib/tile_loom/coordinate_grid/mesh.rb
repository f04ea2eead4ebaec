# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # The lines of one coordinate grid in one map frame, curved as they truly are.
    class Mesh
      # A line's chords may leave its true curve by this much on paper.
      TOLERANCE_MM = 0.02
      MOST_LINES = 400
      MOST_CHORDS = 1024

      attr_reader :view, :crs, :wished_mm

      # crs: the grid's own Reference::Crs; wished_mm: spacing aimed at on paper;
      # interval: a fixed Rational in units of crs, or nil for the automatic one.
      def initialize(view:, crs:, wished_mm: 40.0, interval: nil)
        @view, @crs, @wished_mm, @interval = view, crs, wished_mm, interval
        @to_page = Reference::Transform.between(crs, view.crs)
      end

      # Spacing of lines of constant x and of constant y, Rationals in units of the grid's reference.
      def interval(axis)
        @intervals ||= {}
        @intervals[axis] ||= @interval || automatic(axis)
      end

      # Lines of both families, west to east and south to north.
      def lines = @lines ||= family(:x) + family(:y)

      # A sentence about a grid that would draw nothing or too much, or nil.
      def warning
        return "#{crs.name}: the spacing would draw more than #{MOST_LINES} lines, so none is drawn." if %i[x y].any? { |axis| values(axis).nil? }
        return "#{crs.name}: no line falls on this sheet; choose a closer spacing." if lines.empty?
        nil
      end

      private

      # Grid units in a paper millimetre across the lines of the family, at the frame's centre.
      def units_per_mm(axis)
        x, y = view.frame.centre
        step = 1.0
        here, right, down = on_grid([x, y, x + step, y, x, y + step]).each_slice(2).to_a
        index = (axis == :x) ? 0 : 1
        Math.hypot(right[index] - here[index], down[index] - here[index])
      end

      def automatic(axis)
        wished = units_per_mm(axis) * wished_mm
        crs.geographic? ? Series.nearest_angle_deg(wished) : Series.nearest(wished)
      end

      # Page mm → grid coordinates; longitudes run on across the 180° meridian from the frame's centre.
      def on_grid(page)
        moved = @to_page.inverse(view.to_ground(page))
        return moved unless crs.geographic?
        centre = @to_page.inverse([view.ground.centre_x, view.ground.centre_y]).first
        moved.each_slice(2).flat_map { |lon, lat| [lon.finite? ? centre + ((lon - centre + 540) % 360 - 180) : lon, lat] }
      end

      # The grid coordinates that occur in the frame: its outline and a lattice inside, widened a little.
      def reach
        @reach ||= begin
          box = view.frame
          steps = (0..16).map { |n| n / 16.0 }
          page = steps.product(steps).flat_map { |u, v| [box.min_x + u * box.width, box.min_y + v * box.height] }
          known = on_grid(page).each_slice(2).select { |x, y| x.finite? && y.finite? }
          raise Invalid.new("#{crs.name} cannot be drawn on this sheet: its ground lies outside that reference.") if known.empty?
          Geometry::Box.around(known.flatten)
        end
      end

      # Round values in the frame's reach, or nil when there would be too many.
      def values(axis)
        low, high = (axis == :x) ? [reach.min_x, reach.max_x] : [reach.min_y, reach.max_y]
        step = interval(axis)
        margin = (high - low) * 0.02
        first = ((low - margin) / step).ceil
        last = ((high + margin) / step).floor
        return nil if last - first + 1 > MOST_LINES
        list = (first..last).map { |n| n * step }
        (crs.geographic? && axis == :y) ? list.select { |lat| lat.abs < 90 } : list
      end

      def family(axis)
        found = values(axis)
        return [] if found.nil? || found.empty?
        run = (axis == :x) ? [reach.min_y, reach.max_y] : [reach.min_x, reach.max_x]
        margin = (run[1] - run[0]) * 0.05
        curves(axis, found, run[0] - margin, run[1] + margin).zip(found).filter_map do |page, value|
          pieces = finite_runs(page).flat_map { |part| Geometry::SegmentClip.polyline(part, view.frame) }
          pieces.select! { |piece| piece_length(piece) > 0.01 }
          Line.new(axis: axis, value: value, pieces: pieces) unless pieces.empty?
        end
      end

      # Page polylines of all lines of a family, with chords halved until none leaves its curve.
      def curves(axis, values, from, to)
        chords = (crs == view.crs) ? 2 : 8
        loop do
          steps = (0..chords).map { |n| from + (to - from) * n / chords.to_f }
          flat = values.flat_map { |value| steps.flat_map { |step| (axis == :x) ? [value.to_f, step] : [step, value.to_f] } }
          page = view.to_page(@to_page.forward(flat)).each_slice((chords + 1) * 2).to_a
          return page if chords >= MOST_CHORDS || page.all? { |line| sagitta(line) < TOLERANCE_MM }
          chords *= 2
        end
      end

      # The largest distance of every second point from the chord between its neighbours: four times
      # what the finer chords still miss.
      def sagitta(line)
        worst = 0.0
        (0..line.length - 6).step(4) do |at|
          x1, y1, x, y, x2, y2 = line[at, 6]
          off = Math.hypot(x - (x1 + x2) / 2, y - (y1 + y2) / 2)
          worst = off if off.finite? && off > worst && near_frame?(x, y)
        end
        worst
      end

      def near_frame?(x, y) = view.frame.grow(view.frame.width / 4.0).include?(x, y)

      def finite_runs(line)
        line.each_slice(2).slice_when { |a, b| !(a + b).all?(&:finite?) }.map { |run| run.flatten.select(&:finite?) }.reject { |run| run.length < 4 }
      end

      def piece_length(piece) = piece.each_slice(2).each_cons(2).sum { |(x1, y1), (x2, y2)| Math.hypot(x2 - x1, y2 - y1) }
    end
  end
end
