# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # The lines of one coordinate grid in one map frame, curved as they truly are.
    class Mesh
      # A line's chords may leave its true curve by this much on paper.
      TOLERANCE_MM = 0.02
      # So many lines of a family, and so many places where lines meet, are drawn and no more.
      MOST_LINES = 400
      MOST_NODES = 40_000
      MOST_CHORDS = 1024
      # Lines are known so far beyond the frame, for what a border shows of them.
      BEYOND_MM = 15.0

      attr_reader :view, :crs, :zone

      # crs: the grid's own Crs::System; target_mm: spacing aimed at on paper;
      # interval: fixed {x: Rational, y: Rational} in units of crs, one for both, or nil where it is automatic;
      # origin: where lines are counted from; like: the view that an automatic interval suits, where it is not
      # this one; zone: a Zone outside which nothing is drawn, or nil.
      def initialize(view:, crs:, target_mm: 40.0, interval: nil, origin: {}, like: nil, zone: nil)
        @view, @crs, @target_mm, @like, @zone, @origin = view, crs, target_mm, like, zone, origin
        @fixed = interval.is_a?(Hash) ? interval : {x: interval, y: interval}
        @to_page = Crs::Transform.between(crs, view.crs)
      end

      # Spacing of lines of constant x and of constant y, Rationals in units of the grid's reference.
      def interval(axis)
        @intervals ||= {}
        @intervals[axis] ||= @fixed[axis] || automatic(axis)
      end

      def origin(axis) = @origin[axis] || 0r

      # Lines of both families, west to east and south to north.
      def lines = @lines ||= family(:x) + family(:y)

      # Where lines cross the frame, by side; and where they cross a larger box about it.
      def crossings =
        @crossings ||= Crossing.all(lines, view.frame).group_by(&:side).tap { |found| found.default = [].freeze }

      # Where its lines cross the sides of a box in page mm that is larger than the frame: {side → Crossing list}.
      def crossings_of(box)
        @beyond ||= {}
        @beyond[box] ||= Crossing.beyond(lines, box).group_by(&:side).tap { |found| found.default = [].freeze }
      end

      # Where the families meet inside the frame.
      def nodes = @nodes ||= meeting

      # How far apart lines of a family are on paper in the frame's middle, in mm.
      def pitch_mm(axis) = interval(axis) / units_per_mm(axis, @view)

      # Grid units that a stretch of paper stands for across a family's lines, where it stands for fewest in the frame.
      def least_units(axis, length_mm)
        @least_per_mm ||= {}
        @least_per_mm[axis] ||= if crs == view.crs
          units_per_mm(axis, view)
        else
          lattice
            .map { |place| per_mm_at(axis, place, view) }
            .select { |found| found.finite? && found.positive? }
            .min || units_per_mm(axis, view)
        end

        @least_per_mm[axis] * length_mm
      end

      # Why nothing is drawn, in a sentence, or nil where something is.
      def trouble
        @trouble ||= [find_trouble]
        @trouble.first
      end

      # Page mm → grid coordinates; longitudes run on across the 180° meridian from the frame's centre.
      def on_grid(page, view = @view)
        moved = @to_page.inverse(view.to_ground(page))
        return moved unless crs.geographic?
        centre = middle_longitude
        moved
          .each_slice(2)
          .flat_map { |lon, lat| [lon.finite? ? centre + Units::Angle.wrapped(lon - centre) : lon, lat] }
      end

      # The family whose lines cross a side of the frame more steeply there: they give its labels and bands.
      def owner(side)
        @owners ||= {}
        @owners[side] ||= begin
          (x1, y1), (x2, y2) = Side.ends(side, view.frame)
          middle = [(x1 + x2) / 2, (y1 + y2) / 2]
          along = Side.level?(side) ? [1e-3, 0] : [0, 1e-3]
          here, there = on_grid([*middle, middle[0] + along[0], middle[1] + along[1]]).each_slice(2).to_a
          changes = {x: (there[0] - here[0]).abs, y: (there[1] - here[1]).abs}
          other = Side.level?(side) ? :x : :y
          if changes.values.all?(&:finite?) && measured?
            changes.max_by { |axis, change| change / units_per_mm(axis, @view) }.first
          else
            other
          end
        end
      end

      private

      def middle_longitude
        @middle_longitude ||=
          @to_page.inverse([view.ground.centre_x, view.ground.centre_y]).first.then { |lon| lon.finite? ? lon : 0.0 }
      end

      # Grid units in a paper millimetre across the lines of the family, in the middle of a view; by a pole,
      # where meridians come together, a third of the frame away from it.
      def units_per_mm(axis, view)
        @per_mm ||= {}
        @per_mm[[axis, view]] ||= per_mm_at(axis, place_of_measure(view), view)
      end

      def per_mm_at(axis, (x, y), view)
        here, right, down = on_grid([x, y, x + 1.0, y, x, y + 1.0], view).each_slice(2).to_a
        index = (axis == :x) ? 0 : 1
        Math.hypot(turned(right[index] - here[index]), turned(down[index] - here[index]))
      end

      LATTICE = [0.0, 0.5, 1.0].freeze

      # Page places of the frame's corners, sides and middle.
      def lattice = view.frame.lattice(LATTICE)

      # Does the grid have a measure in the frame's middle? Where the frame shows more than the earth, it has none.
      def measured?
        return @measured if defined?(@measured)
        @measured =
          %i[x y].all? { |axis| units_per_mm(axis, @view).then { |measure| measure.finite? && measure.positive? } }
      end

      # A difference of longitudes the short way round.
      def turned(difference) = (crs.geographic? && difference.finite?) ? Units::Angle.wrapped(difference) : difference

      def place_of_measure(view)
        pole = pole_in(view) or return view.frame.centre
        x, y = view.frame.centre
        places =
          AWAY
            .map { |share| [view.frame.width, view.frame.height].min * share }
            .map { |away| [pole[0] + ((pole[0] > x) ? -away : away), pole[1] + ((pole[1] > y) ? -away : away) * 0.1] }
        # Of a frame that shows more than the earth, one on it.
        places.find { |place| on_grid(place, view).all?(&:finite?) } || places.first
      end

      # From the pole, as shares of the frame.
      AWAY = [1 / 3.0, 1 / 6.0, 1 / 12.0, 1 / 24.0].freeze

      # Page mm of a pole inside the frame, with its latitude, or nil.
      def pole_in(view)
        @poles ||= {}.compare_by_identity
        @poles.fetch(view) do
          @poles[view] = crs.geographic? ? [90.0, -90.0].filter_map { |lat| pole_at(view, lat) }.first : nil
        end
      end

      def pole_at(view, lat)
        place = view.to_page(@to_page.forward([middle_longitude, lat]))
        [*place, lat] if place.all?(&:finite?) && view.frame.include?(*place)
      end

      def automatic(axis)
        view = @like || @view
        target = units_per_mm(axis, view) * @target_mm
        return nil unless target.finite? && target.positive?
        found = crs.geographic? ? Units::Series.nearest_angle_deg(target) : Units::Series.nearest(target)
        # A position is read between two lines: at least so many cross a side, however small the frame.
        half = extent(axis, view) / 2
        return found if found <= half || !half.finite? || !half.positive?
        crs.geographic? ? Units::Series.angle_at_most_deg(half) : Units::Series.at_most(half)
      end

      # Grid units across which the family goes along the side of the frame that it crosses.
      def extent(axis, view)
        index = (axis == :x) ? 0 : 1
        x, y = view.frame.centre
        west, east, north, south =
          on_grid([view.frame.min_x, y, view.frame.max_x, y, x, view.frame.min_y, x, view.frame.max_y], view)
            .each_slice(2)
            .map { |place| place[index] }
        [turned(east - west).abs, turned(south - north).abs].select(&:finite?).max || Float::INFINITY
      end

      # The grid coordinates that occur in the frame: its outline and a lattice inside.
      def reach = @reach ||= occurring(view.frame)

      # The same a little beyond the frame: so far lines are followed.
      def wide_reach = @wide_reach ||= occurring(view.frame.grow(BEYOND_MM)) || reach

      def occurring(box)
        known = on_grid(places_in(box))
        # Where all of it is on the earth there is nothing to look through.
        known = known.each_slice(2).select { |x, y| x.finite? && y.finite? }.flatten unless known.sum.finite?
        known.empty? ? nil : round_pole(Geometry::Box.around(known))
      end

      # A plane grid of the view’s own reference is straight: its extremes are in the corners.
      def places_in(box) =
        (crs == view.crs && !crs.geographic?) ? box.corners : box.lattice((0..16).map { |n| n / 16.0 }).flatten

      def round_pole(box)
        pole = pole_in(view) or return box
        Geometry::Box.new(
          middle_longitude - 180,
          [box.min_y, pole[2]].min,
          middle_longitude + 180,
          [box.max_y, pole[2]].max
        )
      end

      # Numbers of the lines in the frame's reach: first and last.
      def span(axis)
        low, high = (axis == :x) ? [reach.min_x, reach.max_x] : [reach.min_y, reach.max_y]
        low, high = low.clamp(-90, 90), high.clamp(-90, 90) if crs.geographic? && axis == :y
        margin = pole_in(view) ? 0 : (high - low) * 0.02
        first = ((low - margin - origin(axis)) / interval(axis)).ceil
        last = ((high + margin - origin(axis)) / interval(axis)).floor
        # Once round the pole the last meridian is the first one again.
        last -= 1 if axis == :x && pole_in(view) && ((last - first) * interval(axis) - 360).abs < 1e-9
        [first, last]
      end

      def count(axis) = span(axis).then { |first, last| [last - first + 1, 0].max }

      # PROJ calls a definition without a name unknown.
      def called = (crs.name == "unknown") ? "A grid of the book’s own CRS" : crs.name

      def find_trouble
        if reach.nil? || !measured? || %i[x y].any? { |axis| interval(axis).nil? }
          return "#{called} cannot be drawn on this sheet: its ground lies outside that CRS."
        end
        most = %i[x y].map { |axis| count(axis) }.max
        if most > MOST_LINES
          return (
            "#{crs.name}: the interval would draw #{Units::Number.grouped(most)} lines, more than #{MOST_LINES}, so " \
              "none is drawn; choose a wider one."
          )
        end
        nil
      end

      # Indexes of the family's lines; a parallel at a pole is a point.
      def indexes(axis)
        first, last = span(axis)
        list = (first..last).to_a
        if crs.geographic? && axis == :y
          list.select { |index| (origin(axis) + index * interval(axis)).abs < 90 }
        else
          list
        end
      end

      def family(axis)
        return [] if trouble
        found = indexes(axis)
        return [] if found.empty?
        values = found.map { |index| origin(axis) + index * interval(axis) }
        outside = view.frame.grow(BEYOND_MM)
        curves(axis, values, *run(axis)).each_with_index.filter_map do |page, place|
          course = runs(page).flat_map { |part| Geometry::SegmentClip.polyline(part, outside) }
          course = course.flat_map { |part| @zone.cut(part, view) } if @zone
          pieces =
            course
              .flat_map { |part| Geometry::SegmentClip.polyline(part, view.frame) }
              .select { |piece| piece_length(piece) > 0.01 }
          unless course.empty?
            GridLine.new(axis: axis, value: values[place], index: found[place], pieces: pieces, course: course)
          end
        end
      end

      # From where to where lines of a family are followed.
      def run(axis)
        low, high = (axis == :x) ? [wide_reach.min_y, wide_reach.max_y] : [wide_reach.min_x, wide_reach.max_x]
        margin = (pole_in(view) && axis == :y) ? 0 : (high - low) * 0.05
        return low - margin, high + margin unless crs.geographic? && axis == :x
        [[low - margin, -90].max, [high + margin, 90].min]
      end

      # To begin with; a grid of the book's own reference is straight.
      def least_chords
        return 32 if @zone && !@zone.whole?
        (crs == view.crs) ? 2 : 8
      end

      # Page polylines of all lines of a family, with chords halved until none leaves its curve.
      def curves(axis, values, from, to)
        chords = least_chords
        loop do
          steps = (0..chords).map { |n| from + (to - from) * n / chords.to_f }
          flat =
            values.flat_map { |value| steps.flat_map { |step| (axis == :x) ? [value.to_f, step] : [step, value.to_f] } }
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
          worst = off if off > worst && off.finite? && near_frame?(x1, y1, x, y, x2, y2)
        end
        worst
      end

      # Could the curve through three of its points come into the frame?
      def near_frame?(*points)
        box = Geometry::Box.around(points)
        size = [box.width, box.height].max
        box.grow(size / 2).intersects?(view.frame)
      end

      # A polyline in parts, where it goes beyond what the reference shows or leaps from one edge of the world
      # to the other.
      def runs(line)
        points = line.each_slice(2).to_a
        hops = points.each_cons(2).map { |(x1, y1), (x2, y2)| Math.hypot(x2 - x1, y2 - y1) }
        known = hops.select(&:finite?).sort
        leap = known.empty? ? Float::INFINITY : [known[known.length / 2] * 8, 5.0].max
        leap = Float::INFINITY if points.length < 17
        points
          .slice_when { |(x1, y1), (x2, y2)| !(x1 + y1 + x2 + y2).finite? || Math.hypot(x2 - x1, y2 - y1) > leap }
          .map { |run| run.select { |x, y| x.finite? && y.finite? }.flatten }
          .reject { |run| run.length < 4 }
      end

      def piece_length(piece) =
        piece.each_slice(2).each_cons(2).sum { |(x1, y1), (x2, y2)| Math.hypot(x2 - x1, y2 - y1) }

      # A thousandth of an interval away the curve still runs as at the place itself.
      NEARBY = 1 / 1000r

      def meeting
        return [] if trouble
        xs, ys = indexes(:x), indexes(:y)
        return [] if xs.length * ys.length > MOST_NODES
        pairs = xs.product(ys)
        flat =
          pairs.flat_map do |i, j|
            x, y = origin(:x) + i * interval(:x), origin(:y) + j * interval(:y)
            [x.to_f, y.to_f, x.to_f, (y + NEARBY * interval(:y)).to_f, (x + NEARBY * interval(:x)).to_f, y.to_f]
          end
        inside = view.frame.grow(1e-9)
        found =
          view
            .to_page(@to_page.forward(flat))
            .each_slice(6)
            .zip(pairs)
            .filter_map do |(x, y, up_x, up_y, right_x, right_y), (i, j)|
              next unless x.finite? && y.finite? && inside.include?(x, y)
              Node.new(
                x: x,
                y: y,
                along: [unit(up_x - x, up_y - y), unit(right_x - x, right_y - y)],
                x_index: i,
                y_index: j
              )
            end
        if @zone
          found.zip(@zone.inside(found.flat_map { |node| [node.x, node.y] }, view)).select(&:last).map(&:first)
        else
          found
        end
      end

      def unit(dx, dy)
        length = Math.hypot(dx, dy)
        (length.finite? && length.positive?) ? [dx / length, dy / length] : [0.0, 0.0]
      end
    end
  end
end
