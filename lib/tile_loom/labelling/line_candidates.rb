# frozen_string_literal: true

module TileLoom
  module Labelling
    # The places along a stretch of a line in which its label could stand.
    class LineCandidates
      # So many are tried along a stretch, and the best of them kept.
      TRIED, KEPT = 17, 6
      # No nearer to one another than so many of its lengths.
      SPACED = 0.25
      # What it costs: each degree of all bends, the whole way from the middle of the stretch, the other side, a level
      # text beside a line that is too short.
      BEND, OFF_MIDDLE, OTHER_SIDE, BESIDE = 0.6, 30, 24, 70
      # No text counts as shorter.
      LEAST_MM = 0.2
      # All bends together that a label may follow, in degrees.
      MOST_BEND_DEG = 150

      # trace: Trace of what is near of the line; from, to: of the stretch, in mm of the whole line; half_mm: of the
      # line's width; spec: Symbology::Labels::LinePlacement; uphill: gives :left or :right, where higher ground is, or
      # nil where that is not known.
      def initialize(text, trace, from, to, half_mm, spec:, uphill: nil)
        @text, @trace, @from, @to, @half_mm, @spec, @uphill = text, trace, from, to, half_mm, spec, uphill
        @tried = []
      end

      # Candidate list, the cheapest first.
      def all = best + rest

      # The cheapest one, which does for most lines; the others, once they are asked for.
      def best
        @best ||= [(cheapest && stand(cheapest)) || priced.lazy.filter_map { |entry| stand(entry) }.first].compact
      end

      # within: Box in page mm that their middles must lie in, or nil.
      def rest(within = nil)
        best
        priced.filter_map { |entry| stand(entry) unless within && !within.include?(*@trace.place(entry.last)) }
      end

      # Beside the middle of a line that is shorter than its label.
      def beside
        x, y = middle_seen
        PointCandidates.new(
          @text,
          x,
          y,
          @half_mm,
          spec: Symbology::Labels::PointPlacement.new({"gap_mm" => @spec.gap_mm.clamp(0, 50)}),
          base: BESIDE
        ).beside
      end

      # The Candidate along the line whose middle is nearest to a place of the page, whatever its bends; nil where there
      # is no room for the text there.
      def nearest(x, y)
        return nil if @trace.to - @trace.from < length
        middle = @trace.nearest(x, y).clamp(@trace.from + length / 2, @trace.to - length / 2)
        set(sides.first[0], middle, 0, free: true)
      end

      # Where the middle of what is near of the stretch lies.
      def middle_seen = @trace.place(([@from, @trace.from].max + [@to, @trace.to].min) / 2)

      private

      def sides
        case @spec.position
        when "either"
          [[:above, 0], [:below, OTHER_SIDE]]
        else
          [[@spec.position.to_sym, 0]]
        end
      end

      # Of a text of marks alone, or whose letters are set into one another, a little.
      def length
        @length ||= [(@spec.course == "curved") ? CurvedSetting.length(@text, 0.0) : @text.width, LEAST_MM].max
      end

      # [cost, side, middle] of all that may do, the cheapest first.
      def priced
        @priced ||=
          begin
            found = sides.flat_map { |side, cost| along.map { |price, middle| [cost + price, side, middle] } }
            sides.one? ? found : found.sort_by.with_index { |entry, index| [entry[0], index] }
          end
      end

      # The place of one that was not tried before, or nil where the text cannot stand there.
      def stand(entry)
        return nil if @tried.include?(entry)
        @tried << entry
        cost, side, middle = entry
        (@spec.course == "level") ? level_at(side, middle, cost) : set(side, middle, cost)
      end

      # The first of `priced`, without looking at those that are too far from the middle to be it.
      def cheapest
        return priced.first if @spec.course == "level"
        best, least = nil, Float::INFINITY
        outwards.each do |mm|
          break if off_middle(mm).round > least
          price = price(mm) or next
          best, least = mm, price if price < least || (price == least && mm < best)
        end
        best && [least + sides.first[1], sides.first[0], best]
      end

      # All that are tried, from the middle to the ends.
      def outwards
        all, middle = middles, (@from + @to) / 2
        after = all.bsearch_index { |mm| mm >= middle - 1e-9 } || all.length
        before = after - 1
        Array.new(all.length) do
          later, earlier = all[after], (before >= 0) ? all[before] : nil
          if earlier.nil? || (later && later - middle < middle - earlier)
            after += 1
            later
          else
            before -= 1
            earlier
          end
        end
      end

      # [cost, middle] of the best along the stretch, whichever side they are on.
      def along
        return @along if @along
        return @along = level if @spec.course == "level"
        @along = middles.filter_map { |mm| price(mm)&.then { |price| [price, mm] } }.min(KEPT)
      end

      def price(mm)
        from, to = mm - length / 2, mm + length / 2
        return nil if from < @trace.from || to > @trace.to
        bends = @trace.bends(from, to)
        (bends * BEND + off_middle(mm)).round if bends <= MOST_BEND_DEG
      end

      # In mm of the whole line, those that are near of all that are tried.
      def middles
        @middles ||=
          begin
            room = @to - @from - length
            # An odd number, so that the middle is one of them.
            tried = room.negative? ? 0 : [(room / length / SPACED / 2).floor * 2 + 1, TRIED].min
            all =
              if tried == 1
                [(@from + @to) / 2]
              else
                Array.new(tried) { |number| @from + length / 2 + room * number / (tried - 1) }
              end
            all.reject { |mm| mm < @trace.from || mm > @trace.to }
          end
      end

      # What it costs to stand so far from the middle of the stretch.
      def off_middle(mm)
        @room ||= @to - @from - ((@spec.course == "level") ? 0 : length)
        (@room > 0) ? (mm - (@from + @to) / 2).abs / @room * OFF_MIDDLE : 0.0
      end

      # In degrees. A straight text bears less.
      def limit = (@spec.course == "curved") ? @spec.sharpest_deg : 6.0

      # Does the reader go along the line against its direction?
      def against?(middle)
        if @spec.uphill?
          side = @uphill&.call
          return side == :right if side
        end
        x1, y1 = @trace.place(middle - length / 2)
        x2, y2 = @trace.place(middle + length / 2)
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

      # middle: in mm of the whole line; free: whatever its bends.
      def set(side, middle, cost, free: false)
        half = length / 2
        course = @trace.course(middle - half, middle + half, against: against?(middle)) or return nil
        start = course.station(middle) - half
        start = start.clamp(0.0, [course.length - length, 0.0].max) if free
        return nil if start.negative? || start + length > course.length
        return nil unless free || course.sharpest(start, start + length) <= limit
        # Beside the line the way is longer or shorter than along it.
        beside, middle = course.beside(rise(side), start, start + length)
        return nil unless beside
        from = middle - half
        return nil if from < -0.5 || from + length > beside.length + 0.5
        (@spec.course == "curved") ? curved(beside, from.clamp(0.0, nil), cost, free) : straight(beside, from, cost)
      end

      def curved(course, from, cost, free)
        from = [from, course.length - length].min
        return nil if from.negative?
        setting = CurvedSetting.new(@text, course, from)
        (free || setting.smoother?(@spec.sharpest_deg)) ? Candidate.new(cost, setting) : nil
      end

      def straight(course, from, cost)
        x1, y1 = course.at(from.clamp(0.0, nil))
        x2, y2 = course.at([from + length, course.length].min)
        angle = Math.atan2(y2 - y1, x2 - x1)
        x, y = (x1 + x2) / 2 - Math.cos(angle) * length / 2, (y1 + y2) / 2 - Math.sin(angle) * length / 2
        Candidate.new(cost, LevelSetting.new(@text, x, y, angle: (angle.abs < 1e-9) ? 0.0 : angle))
      end

      # [cost, middle] of level ones.
      def level
        room = @to - @from
        all = Array.new(TRIED) { |number| @from + room * (number + 0.5) / TRIED }
        found = all.select { |mm| mm.between?(@trace.from, @trace.to) }.map { |mm| [off_middle(mm).round, mm] }
        found.min(KEPT)
      end

      def level_at(side, middle, cost)
        x, y = @trace.place(middle)
        down = (side == :above) ? @text.depth : 0.0
        Candidate.new(cost, LevelSetting.new(@text, x - @text.width / 2, y - rise(side) - down))
      end
    end
  end
end
