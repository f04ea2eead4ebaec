# frozen_string_literal: true

module TileLoom
  module Index
    # Rows and columns of equal cells over a study area, neighbours overlapping; cells that do not show
    # enough of the area are dropped.
    class Grid
      # More cells than this are refused unless more are asked for, at most the LARGEST; so many times as many places
      # before anything is computed.
      MOST_CELLS, LARGEST, PLACES = 100_000, 1_000_000, 4
      private_constant :PLACES

      # Where a grid begins: centred on the area; sheet corners on multiples of a ground length; or a sheet's
      # lower left corner at a point. x, y, multiple: in reference units.
      Start = Struct.new(:kind, :x, :y, :multiple, keyword_init: true)
      CENTRED = Start.new(kind: "centred").freeze

      attr_reader :area, :size, :overlap_mm, :ccw_deg

      # overlap_mm: a number for both ways or [across, down]; keep: "touching", "all", or the least share of a cell
      # (0…1) that must be area; start: a Start; ccw_deg: counter-clockwise; step: how far neighbours are apart,
      # [across, down] in reference units, in place of an overlap; nil where the overlap says so; most: cells that it
      # may have.
      def initialize(
        area:,
        size:,
        overlap_mm: 0,
        keep: "touching",
        start: CENTRED,
        ccw_deg: 0.0,
        step: [nil, nil],
        most: MOST_CELLS
      )
        @area, @size, @keep, @start, @ccw_deg, @step, @most = area, size, keep, start, ccw_deg.to_f, step, most
        @overlap_mm = overlap_mm.is_a?(Array) ? overlap_mm.map(&:to_f) : [overlap_mm.to_f] * 2
        refuse_overlap
        refuse_round_turned
      end

      def columns = across.length

      def rows = down.length

      # Cells row by row from the north-west; Refusal when there would be too many. shift: how far the whole
      # grid is moved along its axes, in reference units.
      def cells(shift: [0.0, 0.0])
        kept(shift).each_with_index.map do |(row, column, rectangle), index|
          Cell.new(
            number: index + 1,
            name: Naming.cell(column, row),
            row: row,
            column: column,
            scale: size.scale,
            ground: rectangle
          )
        end
      end

      # How many cells there would be.
      def count(shift: [0.0, 0.0]) = kept(shift).length

      # Distances of neighbouring cells along the axes, in reference units. With corners on multiples of a
      # length, they are multiples too: the neighbours overlap a little more.
      def pitch
        @pitch ||=
          [size.frame_width_mm, size.frame_height_mm].each_with_index.map do |frame, axis|
            @step[axis] ? own_step(axis) : stepped((frame - overlap_mm[axis]) * units_per_mm)
          end
      end

      # Ground size of a cell along the axes, the smallest over the area.
      def extent = [size.frame_width_mm * units_per_mm, size.frame_height_mm * units_per_mm]

      def axes = @axes ||= Axes.new(ccw_deg)

      # The Box of the area along the axes.
      def bounds = @bounds ||= axes.box(area.coordinates)

      # The lowest corner of the grid along the axes.
      def corner = [across.first, down.last]

      private

      # The smallest ground width of a paper millimetre over the area: the pitch that leaves no gap
      # anywhere, whatever the point scale factor does.
      def units_per_mm
        @units_per_mm ||=
          begin
            box = area.box
            xs = [box.min_x, box.centre[0], box.max_x]
            ys = [box.min_y, box.centre[1], box.max_y]
            if size.held == "ellipsoid"
              xs.product(ys).map { |x, y| size.units_per_mm(x, y) }.min
            else
              size.units_per_mm(0, 0)
            end
          end
      end

      # A step of its own may not leave gaps, nor next to nothing of a frame.
      def own_step(axis)
        step, shown = @step[axis], extent[axis]
        found = {step: in_words(step, 2), shown: in_words(shown, 2), at: "/index/spacing"}
        raise Refusal.new("index.step_leaves_gaps", **found) if step > shown * (1 + 1e-9)
        raise Refusal.new("index.step_too_small", **found) if step < shown * Overlap::LEAST_STEP
        step
      end

      # "652.67 m"
      def in_words(length, decimals) = "#{Units::Number.plain(length, decimals: decimals)} #{size.crs.unit_symbol}"

      def stepped(length)
        return length unless @start.kind == "round"
        multiple = @start.multiple
        raise Refusal.new("index.multiples_of_nothing", at: "/index/origin/multiple") unless multiple&.positive?
        steps = (length / multiple + 1e-9).floor
        if steps.zero?
          found = {multiple: in_words(multiple, 3), apart: in_words(length, 1)}
          raise Refusal.new("index.multiples_too_large", **found, at: "/index/origin/multiple")
        end
        steps * multiple
      end

      # Lower left corners along each axis: from the west, and from the north.
      def across = @across ||= places(bounds.min_x, bounds.max_x, extent[0], pitch[0], origin[0])

      def down = @down ||= places(bounds.min_y, bounds.max_y, extent[1], pitch[1], origin[1]).reverse

      # A corner of the grid along its axes, or nil where it is centred.
      def origin
        case @start.kind
        when "round"
          [0.0, 0.0]
        when "point"
          axes.along([@start.x.to_f, @start.y.to_f])
        else
          [nil, nil]
        end
      end

      # A billionth of a cell is forgiven to rounding.
      def places(low, high, extent, pitch, origin)
        if origin
          first = ((low - origin) / pitch + 1e-9).floor
          last = [((high - extent - origin) / pitch - 1e-9).ceil, first].max
          refuse_too_many(last - first + 1)
          (first..last).map { |step| origin + step * pitch }
        else
          count = [((high - low - (extent - pitch)) / pitch - 1e-9).ceil, 1].max
          refuse_too_many(count)
          middle = (low + high) / 2.0
          (0...count).map { |step| middle + (step - (count - 1) / 2.0) * pitch - extent / 2 }
        end
      end

      # [row, column, rectangle] of the cells that are kept, from the north-west.
      def kept(shift)
        refuse_too_many
        Pulse.expect(rows * columns)
        found = rows_of_places(shift).each_slice(GridBlock::SIDE).flat_map { |strip| kept_of(strip) }
        refuse(found.length, "#{Units::Number.grouped(found.length)} cells") if found.length > @most
        found
      end

      # strip: rows of places, one below the other. A block of them is looked at as a whole first.
      def kept_of(strip)
        parted = strip.map { |row| row.each_slice(GridBlock::SIDE).to_a }
        shares = parted.transpose.map { |rows| (@keep == "all") ? 1.0 : GridBlock.new(rows).share_of(area) }
        parted.flat_map { |row| row.zip(shares).flat_map { |places, share| kept_places(places, share) } }
      end

      # share: of each of the places that is area, or nil where they differ.
      def kept_places(places, share)
        if share
          Pulse.step(places.length)
          return keep_share?(share) ? places : []
        end
        places.select do |_, _, rectangle|
          Pulse.step
          keep?(rectangle)
        end
      end

      # Yields rows of [row, column, rectangle] from the north.
      def rows_of_places(shift)
        width, height = extent
        # A moved grid may need one more row and column, on the side that it was moved away from.
        columns = with_one_before(across, shift[0], pitch[0])
        rows = with_one_before(down.reverse, shift[1], pitch[1]).reverse
        Enumerator.new do |found|
          rows.each_with_index do |v, row|
            found << columns.each_with_index.map do |u, column|
              x, y = axes.ground([u + width / 2, v + height / 2])
              [row, column, Geometry::TurnedRectangle.turned(x, y, *size.at(x, y), ccw_deg)]
            end
          end
        end
      end

      def with_one_before(places, shift, pitch)
        moved = places.map { |place| place + shift }
        shift.zero? ? moved : [moved.first - pitch, *moved]
      end

      # One that is neither all area nor free of it.
      def keep?(rectangle) = (@keep == "touching") ? area.meets?(rectangle) : keep_share?(area.share_of(rectangle))

      def keep_share?(share) = %w[all touching].include?(@keep) ? share.positive? : share >= @keep.to_f

      def refuse_overlap
        smaller = [size.frame_width_mm, size.frame_height_mm].min
        raise Refusal.new("index.overlap_negative", at: "/index/overlap_mm") if overlap_mm.any?(&:negative?)
        return if overlap_mm.max < smaller * 0.9
        raise Refusal.new(
          "index.overlap_leaves_nothing",
          overlap_mm: Units::Number.plain(overlap_mm.max),
          frame_mm: Units::Number.plain(smaller, decimals: 1),
          at: "/index/overlap_mm"
        )
      end

      def refuse_round_turned
        return unless @start.kind == "round" && !(ccw_deg % 90).zero?
        rotation = Units::Number.plain(0.0 - ccw_deg, decimals: 2)
        raise Refusal.new("index.turned_off_corners", rotation: rotation, at: "/index/origin")
      end

      def refuse_too_many(one_way = nil)
        total = one_way || rows * columns
        return if total <= @most * PLACES
        cells =
          if one_way
            "more than #{Units::Number.grouped(@most)} cells one way"
          else
            "up to #{Units::Number.grouped(total)} cells (#{Units::Number.grouped(columns)} columns by " \
              "#{Units::Number.grouped(rows)} rows)"
          end
        refuse(total, cells)
      end

      def refuse(total, cells)
        raise Refusal.new(
          "index.too_many_cells",
          scale: Units::Number.ratio(size.scale),
          cells: cells,
          most: Units::Number.grouped(@most),
          smaller_scale: Units::Number.ratio(smaller_scale(total)),
          at: "/index/scale"
        )
      end

      # A scale of the 1-2-5 series at which a few hundred cells remain.
      def smaller_scale(total)
        Units::Series.at_least(size.scale * Math.sqrt(total / 300.0)).to_i
      end
    end
  end
end
