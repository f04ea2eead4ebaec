# frozen_string_literal: true

module TileLoom
  module Labelling
    # The places along a stretch of a line in which its label could stand.
    class LinePlaces
      # So many are tried along a stretch, and the best of them kept.
      TRIED, KEPT, FIRST = 17, 6, 1
      # No nearer to one another than so many of its lengths.
      SPACED = 0.25
      # What it costs: each degree of all bends, the whole way from the middle of the stretch, the other side, a level
      # text beside a line that is too short.
      BEND, OFF_MIDDLE, OTHER_SIDE, BESIDE = 0.6, 30, 24, 70
      # All bends together that a label may follow, in degrees.
      MOST_BEND_DEG = 150

      # course: Course of what is near of the line; from, to: of the stretch, in mm of the whole line; half_mm: of the
      # line's width; spec: Symbology::Labels::LinePlaces; uphill: is higher ground on its :left, its :right, or nil
      # where that is not known?
      def initialize(text, course, from, to, half_mm, spec:, uphill: nil)
        @text, @course, @from, @to, @half_mm, @spec, @uphill = text, course, from, to, half_mm, spec, uphill
      end

      # Place list, the cheapest first.
      def all = best + rest

      # The cheapest ones, which do for most lines; the others, once they are asked for.
      def best = @best ||= settled(priced.first(FIRST))

      def rest = settled(priced.drop(FIRST))

      # Beside the middle of a line that is shorter than its label.
      def beside
        x, y = middle_seen
        PointPlaces.new(
          @text,
          x,
          y,
          @half_mm,
          spec: Symbology::Labels::PointPlaces.new({"gap_mm" => @spec.gap_mm.clamp(0, 50)}),
          base: BESIDE
        ).beside
      end

      # The Place along the line whose middle is nearest to a place of the page, whatever its bends; nil where there is
      # no room for the text there.
      def nearest(x, y)
        return nil if @course.length < length
        middle = @course.station_near(x, y).clamp(length / 2, @course.length - length / 2)
        set(sides.first[0], middle - length / 2, 0, free: true)
      end

      # Where the middle of what is near of the stretch lies.
      def middle_seen
        first, last = @course.span
        @course.at(@course.station(([@from, first].max + [@to, last].min) / 2))
      end

      private

      def sides
        case @spec.position
        when "either"
          [[:above, 0], [:below, OTHER_SIDE]]
        else
          [[@spec.position.to_sym, 0]]
        end
      end

      def length = @length ||= (@spec.course == "curved") ? CurvedSetting.length(@text, 0.0) : @text.width

      # [cost, side, start] of all that may do, the cheapest first.
      def priced = @priced ||= sides.flat_map { |side, cost| along(side, cost) }.sort_by(&:first)

      def settled(found)
        return level_of(found) if @spec.course == "level"
        found.filter_map { |cost, side, start| set(side, start, cost) }
      end

      def along(side, cost)
        return level(side, cost) if @spec.course == "level"
        room = @to - @from - length
        return [] if room.negative?
        found =
          middles(room).filter_map do |mm|
            start = @course.station(mm) - length / 2
            next if start.negative? || start + length > @course.length
            bends, sharpest = bends(start)
            next if sharpest > limit || bends > MOST_BEND_DEG
            [(cost + bends * BEND + off_middle(mm, room)).round, start]
          end
        found.sort.first(KEPT).map { |price, start| [price, side, start] }
      end

      # In mm of the whole line, those that are near of all that are tried.
      def middles(room)
        # An odd number, so that the middle is one of them.
        tried = [(room / length / SPACED / 2).floor * 2 + 1, TRIED].min
        first, last = @course.span
        all =
          (
            if tried == 1
              [(@from + @to) / 2]
            else
              Array.new(tried) { |number| @from + length / 2 + room * number / (tried - 1) }
            end
          )
        all.select { |mm| mm.between?(first, last) }
      end

      def off_middle(mm, room) = room.zero? ? 0.0 : (mm - (@from + @to) / 2).abs / room * OFF_MIDDLE

      # In degrees. A straight text bears less.
      def limit = (@spec.course == "curved") ? @spec.sharpest_deg : 6.0

      def bends(start) = @course.bends(start, start + length).map { |radians| radians * 180 / Math::PI }

      # Does the reader go along the line against its direction?
      def against?(start)
        return @uphill == :right if @spec.uphill? && @uphill
        x1, y1 = @course.at(start)
        x2, y2 = @course.at(start + length)
        Upright.against?(x2 - x1, y2 - y1)
      end

      # mm from the line up to the text's baseline, as the reader has it.
      def rise(side)
        case side
        when :above
          @half_mm + @spec.gap_mm + [@text.bottom, 0.0].max
        when :below
          -(@half_mm + @spec.gap_mm + @text.cap)
        else
          -@text.cap / 2
        end
      end

      def set(side, start, cost, free: false)
        against = against?(start)
        line = against ? @course.reversed : @course
        start = @course.length - start - length if against
        # Beside the line the way is longer or shorter than along it.
        beside, middle = line.beside(rise(side), start, start + length)
        return nil unless beside
        from = middle - length / 2
        return nil if from < -0.5 || from + length > beside.length + 0.5
        (@spec.course == "curved") ? curved(beside, from.clamp(0.0, nil), cost, free) : straight(beside, from, cost)
      end

      def curved(course, from, cost, free)
        from = [from, course.length - length].min
        return nil if from.negative?
        setting = CurvedSetting.new(@text, course, from)
        (free || setting.smoother?(@spec.sharpest_deg)) ? Place.new(cost, setting) : nil
      end

      def straight(course, from, cost)
        x1, y1 = course.at(from.clamp(0.0, nil))
        x2, y2 = course.at([from + length, course.length].min)
        angle = Math.atan2(y2 - y1, x2 - x1)
        x, y = (x1 + x2) / 2 - Math.cos(angle) * length / 2, (y1 + y2) / 2 - Math.sin(angle) * length / 2
        Place.new(cost, LevelSetting.new(@text, x, y, angle: (angle.abs < 1e-9) ? 0.0 : angle))
      end

      # Level ones, each with its middle at a station of the line.
      def level(side, cost)
        room = @to - @from
        first, last = @course.span
        all = Array.new(TRIED) { |number| @from + room * (number + 0.5) / TRIED }
        found =
          all
            .select { |mm| mm.between?(first, last) }
            .map { |mm| [cost + off_middle(mm, room).round, side, @course.station(mm)] }
        found.sort_by { |price, _, at| [price, at] }.first(KEPT)
      end

      def level_of(found)
        found.map do |cost, side, at|
          x, y = @course.at(at)
          down = (side == :above) ? @text.depth : 0.0
          Place.new(cost, LevelSetting.new(@text, x - @text.width / 2, y - rise(side) - down))
        end
      end
    end
  end
end
