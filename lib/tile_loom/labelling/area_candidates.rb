# frozen_string_literal: true

module TileLoom
  module Labelling
    # The places in an area (or beside one that is too small) in which its label could stand.
    class AreaCandidates
      # Lines across the area that are looked at, and places kept.
      ROWS, KEPT = 17, 6
      # What it costs: to be as narrow as nothing, to be at the edge of the area instead of its middle, to reach beyond
      # the area (and by a whole width of the text), to stand beside it.
      NARROW, OFF_MIDDLE, OVER, OVER_WIDTH, OUTSIDE = 20, 16, 34, 60, 44
      # To be straight where it could be curved.
      STRAIGHT = 30
      # A letterspaced label takes so much of the area's length.
      SPREAD_SHARE = 0.66
      # Clear of the area's edge, in mm.
      CLEAR_MM = 0.4
      # The middle of an area is evened out over this part of its length.
      SMOOTHED = 20
      # One that bends more stands straight.
      MOST_BEND_DEG = 120

      # text: SetText; rings: flat closed rings of one polygon in page mm; spec: Symbology::Labels::AreaPlacement.
      def initialize(text, rings, spec:, base: 0)
        @text, @rings, @spec, @base = text, rings, spec, base
      end

      # DeferredCandidate list in the area, reaching beyond it where it has no room.
      def inside
        case @spec.course
        when "axis"
          turned(axis)
        when "curved"
          curved.then do |found|
            found.empty? ? turned(axis) : found + turned(axis).map { |straight| straight.dearer(STRAIGHT) }
          end
        else
          turned(0.0)
        end
      end

      # Candidate list beside it.
      def outside
        return [] unless @spec.outside?
        box = Geometry::Box.around(@rings.first)
        x, y = box.centre
        around =
          PointCandidates.new(@text, x, y, box.width / 2, box.height / 2, spec: @spec.around, base: @base + OUTSIDE)
        around.beside + around.moved
      end

      private

      # Radians clockwise of the long axis, so that a text along it is upright.
      def axis
        box = Geometry::Geos.polygon(@rings.first[0..-3]).minimum_rotated_rectangle
        corners = Geometry::Wkb.each_run(Geometry::Geos.write(box)).first&.at(1) || []
        sides = corners.each_slice(2).each_cons(2).map { |(x1, y1), (x2, y2)| [x2 - x1, y2 - y1] }
        dx, dy = sides.first(2).max_by { |x, y| Math.hypot(x, y) }
        dx ? Upright.angle(Math.atan2(dy, dx)) : 0.0
      rescue ::Geos::GEOSException
        0.0
      end

      # Straight, in a direction.
      def turned(angle)
        degrees = angle * 180 / Math::PI
        rings = angle.zero? ? @rings : @rings.map { |ring| Geometry::Affine.turn(-degrees, 0, 0).map(ring) }
        back = Geometry::Affine.turn(degrees, 0, 0)
        rows(rings).map do |cost, middle, y, width|
          DeferredCandidate.new(cost) do
            tracking = @spec.letterspaced? ? spacing_pt(width) : 0.0
            left = middle - LevelSetting.widened(@text, tracking) / 2
            baseline = y + (@text.cap - @text.depth) / 2
            left, baseline = back.point(left, baseline) unless angle.zero?
            Candidate.new(cost, LevelSetting.new(@text, left, baseline, angle: angle, tracking_pt: tracking))
          end
        end
      end

      # [cost, middle x, middle y, width of the area there] of the best rows.
      def rows(rings)
        high = @text.cap + @text.depth
        box = Geometry::Box.around(rings.first)
        above, at, below = [-high / 2, 0, high / 2].map { |off| scanlines(rings, box, off) }
        found =
          ROWS.times.filter_map do |row|
            span = widest([above, at, below], row) || widest([at], row)
            [row_y(box, row), *span] if span
          end
        return [] if found.empty?
        most = found.map { |_, from, to| to - from }.max
        found
          .map { |y, from, to| [price(y, to - from, most, box), (from + to) / 2, y, to - from] }
          .sort
          .then { |list| apart(list, high) }
      end

      def row_y(box, row) = box.min_y + box.height * (row + 0.5) / ROWS

      # All rows, so far off.
      def scanlines(rings, box, off = 0) =
        Scanlines.new(rings, row_y(box, 0) + off, [box.height / ROWS, 1e-9].max, ROWS)

      def price(y, width, most, box)
        off = (y - box.centre[1]).abs / [box.height / 2, 0.01].max
        over = @text.width + CLEAR_MM * 2 - width
        @base +
          (
            NARROW * (1 - width / most) + OFF_MIDDLE * off +
              (over.positive? ? OVER + OVER_WIDTH * over / @text.width : 0)
          ).round
      end

      def apart(list, high)
        kept = []
        list.each do |row|
          kept << row unless kept.any? { |_, _, y, _| (y - row[2]).abs < high * 0.7 }
          break if kept.length == KEPT
        end
        kept
      end

      # [from, to] of the widest stretch of a row that lies in the area on all of the Scanlines.
      def widest(all, row)
        return of_one(all, row) if all.all? { |lines| lines.crossings(row).length == 2 }
        common =
          all
            .map { |lines| lines.spans(row) }
            .reduce do |one, other|
              one.flat_map do |from, to|
                other.filter_map do |start, finish|
                  low, high = [from, start].max, [to, finish].min
                  [low, high] if high > low
                end
              end
            end
        common.max_by { |from, to| [to - from, -from] }
      end

      # Where each has but one.
      def of_one(all, row)
        low, high = -Float::INFINITY, Float::INFINITY
        all.each do |lines|
          from, to = lines.crossings(row)
          low = from if from > low
          high = to if to < high
        end
        (high > low) ? [low, high] : nil
      end

      # Points between letters so that the label spans a length.
      def spacing_pt(length)
        gaps = @text.lines.first.string.length - 1
        return 0.0 unless gaps.positive? && @text.one?
        most = @spec.maximum_spacing * @text.rule.size_pt
        ((length * SPREAD_SHARE - @text.width) / gaps / Type::Face::MM_PER_PT).clamp(0.0, most)
      end

      # Along the middle of the area, across its long axis.
      def curved
        return [] unless @text.one?
        angle = axis
        degrees = angle * 180 / Math::PI
        rings = @rings.map { |ring| Geometry::Affine.turn(-degrees - 90, 0, 0).map(ring) }
        course = middle_course(rings, Geometry::Affine.turn(degrees + 90, 0, 0)) or return []
        foot, = course.beside(-@text.cap / 2, 0.0, course.length)
        return [] unless foot
        spacing = @spec.letterspaced? ? spacing_pt(foot.length) * Type::Face::MM_PER_PT : 0.0
        length = CurvedSetting.length(@text, spacing)
        room = foot.length - length
        return [] if room.negative?
        [0.5, 0.35, 0.65].filter_map { |share| on_course(foot, room * share, length, spacing, share) }
      end

      def on_course(foot, start, length, spacing, share)
        return nil if foot.bends(start, start + length) > MOST_BEND_DEG
        setting = CurvedSetting.new(@text, foot, start, spacing: spacing)
        return nil unless setting.smoother?(30)
        cost = @base + ((share - 0.5).abs * OFF_MIDDLE * 2).round
        DeferredCandidate.new(cost) { Candidate.new(cost, setting) }
      end

      # Middles of the area across its axis, which stands upright in these rings; from left to right on the page.
      def middle_course(rings, back)
        box = Geometry::Box.around(rings.first)
        lines = scanlines(rings, box)
        middles =
          ROWS.times.filter_map do |row|
            widest([lines], row)&.then { |from, to| back.point((from + to) / 2, row_y(box, row)) }
          end
        return nil if middles.length < 4
        (x1, y1), (x2, y2) = middles.first, middles.last
        middles.reverse! if Upright.against?(x2 - x1, y2 - y1)
        Course.along(middles.flatten, smooth_mm: [box.height / SMOOTHED, Course::SMOOTH_MM].max)
      end
    end
  end
end
