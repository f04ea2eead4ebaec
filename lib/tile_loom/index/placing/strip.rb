# frozen_string_literal: true

module TileLoom
  module Index
    # Frames turned to follow a line, each along the chord of a stretch of it that overlaps the next one's.
    # Each stretch is drawn out as far as its frame holds it, which makes them few; then all are made as even
    # as their number allows.
    class Strip
      MOST_CELLS = 100_000
      # A stretch's end is found to this share of a frame's width.
      FINENESS = 1e-4
      ROUNDS = 14
      # A stretch is so many steps of work (see Pulse), each time that it is looked for.
      STEPS = 15

      # size: CellSize; lead_mm: how far the line stays inside the frame's sides; overlap_mm: along the line;
      # maximum_rotation_deg: how far frames may be turned either way from north up, 180 for any; upward: "north", so
      # that north is up on as many sheets of a chain as can be, or "route", so that all of them are read from left to
      # right along it.
      def initialize(size:, lead_mm: 10.0, overlap_mm: 0.0, maximum_rotation_deg: 180.0, upward: "north")
        @size, @lead_mm, @overlap_mm, @upward = size, lead_mm.to_f, overlap_mm.to_f, upward
        @most_turn = along_route? ? 180.0 : maximum_rotation_deg.to_f
        refuse
      end

      # Cells along the chains, one after the other: column counts along a chain, row the chains.
      def cells(chains)
        found =
          chains.each_with_index.flat_map do |chain, row|
            parts = stretches(chain).map { |from, to| chain.between(from, to) }
            parts
              .zip(turns(parts))
              .each_with_index
              .map { |(points, turn), column| [row, column, rectangle(points, turn)] }
          end
        found.each_with_index.map do |(row, column, rectangle), index|
          Cell.new(
            number: index + 1,
            name: (index + 1).to_s,
            row: row,
            column: column,
            scale: @size.scale,
            ground: rectangle
          )
        end
      end

      # [[from, to], …] along a chain: the least number, and as even as that number allows.
      def stretches(chain)
        least = (chain.length / [room_at(chain.at(0.0)).max, 1e-9].max).ceil
        Pulse.expect([least, MOST_CELLS].min * STEPS * (ROUNDS + 1))
        greedy = cover(chain, Float::INFINITY)
        return greedy if greedy.length < 2
        low, high = 0.0, greedy.map { |from, to| to - from }.max
        ROUNDS.times do
          middle = (low + high) / 2
          (cover(chain, middle, greedy.length)&.length == greedy.length) ? high = middle : low = middle
        end
        cover(chain, high, greedy.length) || greedy
      end

      private

      def refuse
        room = [@size.frame_width_mm, @size.frame_height_mm].min - 2 * @lead_mm
        if room <= 1
          frame =
            [@size.frame_width_mm, @size.frame_height_mm].map { |side| Units::Number.plain(side, decimals: 1) }
              .join(" × ")
          raise Refusal.new(
            "index.clearance_leaves_no_room",
            clearance_mm: Units::Number.plain(@lead_mm),
            frame_mm: frame,
            at: "/index/clearance_mm"
          )
        end
        if @overlap_mm > room * 0.9
          raise Refusal.new(
            "index.overlap_leaves_no_line",
            overlap_mm: Units::Number.plain(@overlap_mm),
            room_mm: Units::Number.plain(room, decimals: 1),
            at: "/index/overlap"
          )
        end
      end

      # Stretches, each as long as a frame holds and not longer than a limit; nil where that takes more than
      # so many.
      def cover(chain, limit, most = MOST_CELLS)
        found = []
        from, before = 0.0, nil
        loop do
          return nil if found.length >= most && most < MOST_CELLS
          if found.length >= MOST_CELLS
            raise Refusal.new(
              "index.more_cells_than_may_be",
              most: Units::Number.grouped(MOST_CELLS),
              at: "/index/scale"
            )
          end
          Pulse.step(STEPS)
          to = reach(chain, from, limit, before)
          found << [from, to]
          before = turn(chain.between(from, to), before)
          return found if to >= chain.length - 1e-9
          back = [@overlap_mm * per_mm(chain.at(to)), (to - from) * 0.9].min
          from = to - back
        end
      end

      # How far a stretch that begins here can go; before: how the frame before is turned, or nil.
      def reach(chain, from, limit, before)
        room = room_at(chain.at(from))
        most = [chain.length, from + limit].min
        step = [room.min * 0.5, limit].min
        good = from
        # Forward by steps while it fits, then to a fine place between the last that fits and the first that
        # does not.
        bad = nil
        while bad.nil?
          ahead = [good + step, most].min
          fits?(chain.between(from, ahead), room, before) ? good = ahead : bad = ahead
          return good if good >= most
          step *= 2 if bad.nil?
        end
        while bad - good > room.min * FINENESS
          middle = (good + bad) / 2
          fits?(chain.between(from, middle), room, before) ? good = middle : bad = middle
        end
        (good > from) ? good : [from + room.min * FINENESS, most].min
      end

      def per_mm(place) = @size.units_per_mm(*place)

      # Ground room inside the lead, [along, across].
      def room_at(place) =
        [@size.frame_width_mm, @size.frame_height_mm].map { |frame| (frame - 2 * @lead_mm) * per_mm(place) }

      # Does a frame that is turned to follow the stretch hold it?
      def fits?(points, room, before) =
        spread(points, turn(points, before))
          .each_slice(2)
          .zip(room)
          .all? { |(low, high), length| high - low <= length * (1 + 1e-9) }

      def along_route? = @upward == "route"

      # Along the chord of the stretch, counter-clockwise in degrees, as far as frames may be turned: the way the
      # route goes, or either way, whichever turns less from the frame before (from north up, for the first).
      def turn(points, before)
        (x1, y1), (x2, y2) = points.first, points.last
        angle = Math.atan2(y2 - y1, x2 - x1) * 180 / Math::PI
        return angle if along_route?
        near = before || 0.0
        change = (angle - near + 90) % 180 - 90
        turned = near + ((change == -90) ? 90.0 : change)
        (@most_turn < 180) ? turned.clamp(-@most_turn, @most_turn) : turned
      end

      # The turn of each frame of a chain, from -180° up to 180°. Where north would be down on most sheets, all are
      # turned over, so that they stay of one sense.
      def turns(parts)
        before = nil
        found = parts.map { |points| before = turn(points, before) }.map { |angle| Units::Angle.wrapped(angle) }
        return found if along_route? || found.sum { |angle| Math.cos(angle * Math::PI / 180) } >= -1e-9
        found.map { |angle| Units::Angle.wrapped(angle + 180) }
      end

      # From where to where the points spread along a frame that is turned so, and across it. Asked very often,
      # so it touches each point once and makes nothing on the way.
      def spread(points, angle)
        cos, sin = Math.cos(angle * Math::PI / 180), Math.sin(angle * Math::PI / 180)
        left = low = Float::INFINITY
        right = high = -Float::INFINITY
        points.each do |x, y|
          u = x * cos + y * sin
          v = y * cos - x * sin
          left = u if u < left
          right = u if u > right
          low = v if v < low
          high = v if v > high
        end
        [left, right, low, high]
      end

      # The frame about the middle of what the stretch spreads over.
      def rectangle(points, angle)
        left, right, low, high = spread(points, angle)
        x, y = Axes.new(angle).ground([(left + right) / 2, (low + high) / 2])
        Geometry::TurnedRectangle.turned(x, y, *@size.at(x, y), angle.round(9))
      end
    end
  end
end
