# frozen_string_literal: true

module TileLoom
  module Index
    # Changes of single cells by hand. What is placed by hand is pinned with it, so that a rebuild leaves it.
    # Each method answers the cells as they are then; numbers stay those of the order, without gaps.
    class Handwork
      # A cell is split into at most so many.
      MOST_PARTS = 400

      # cells: as they are; size: gives a CellSize for a scale; scale: of new cells.
      def initialize(cells, size:, scale:)
        @cells, @size, @scale = cells, size, scale
      end

      # By so much, in reference units.
      def move(numbers, dx, dy) =
        placed(numbers) { |ground| [ground.centre_x + dx, ground.centre_y + dy, ground.rotation_deg] }

      # By so much in mm on paper at the scale of the first of them.
      def nudge(numbers, dx_mm, dy_mm)
        cell = @cells.find { |known| known.number == numbers.first } or raise Refusal.new("index.no_cell_selected")
        per_mm = @size.call(cell.scale).units_per_mm(cell.ground.centre_x, cell.ground.centre_y)
        move(numbers, dx_mm * per_mm, dy_mm * per_mm)
      end

      # About their middles, clockwise to an angle.
      def turn(numbers, angle)
        raise Refusal.new("index.rotation", at: "/rotation_deg") unless angle.abs <= 180
        placed(numbers) { |ground| [ground.centre_x, ground.centre_y, angle] }
      end

      # To the scale with this denominator, about their middles. Refusal for one that is not greater than zero.
      def scale(numbers, scale)
        raise Refusal.new("index.scale_not_positive", at: "/scale") unless scale.positive? && scale <= 1e9
        change(numbers) do |cell|
          at(cell, cell.ground.centre_x, cell.ground.centre_y, cell.ground.rotation_deg, scale).merge(
            pinned: true,
            moved: true,
            scale: Units::Number.tidy(scale)
          )
        end
      end

      def pin(numbers, on) = change(numbers) { |_| {pinned: on} }

      # Takes them out; the numbers close up.
      def remove(numbers)
        known(numbers)
        Order.counted(@cells.reject { |cell| numbers.include?(cell.number) })
      end

      # A cell about a place, like its nearest neighbour in scale and turn; it comes last.
      def add(x, y, name: nil)
        near = @cells.min_by { |cell| [Math.hypot(cell.ground.centre_x - x, cell.ground.centre_y - y), cell.number] }
        scale, angle = near&.scale || @scale, near&.ground&.rotation_deg || 0.0
        refuse_beyond(nil, @size.call(scale).crs, x, y)
        made =
          Cell.new(
            number: @cells.length + 1,
            name: name || free(near&.name || Naming.cell(0, 0)),
            row: near&.row || 0,
            column: near&.column || 0,
            scale: scale,
            ground: Geometry::TurnedRectangle.new(x, y, *@size.call(scale).at(x, y), angle),
            pinned: true,
            moved: true
          )
        refuse_taken(made.name, nil)
        @cells + [made]
      end

      # The cell gives way to as many at a larger scale as show its ground.
      def split(number, scale)
        cell = known([number]).first
        unless scale.positive? && scale < cell.scale
          raise Refusal.new("index.split_scale", name: cell.name, scale: Units::Number.ratio(cell.scale), at: "/scale")
        end
        area =
          StudyArea.new(
            [
              Data::Feature.new(
                id: 0,
                wkb: Geometry::Wkb.polygon([cell.ground.corners + cell.ground.corners.first(2)]),
                attributes: {}
              )
            ]
          )
        parts = Grid.new(area: area, size: @size.call(scale), ccw_deg: cell.ground.ccw_deg).cells
        if parts.length > MOST_PARTS
          raise Refusal.new(
            "index.too_many_parts",
            scale: Units::Number.ratio(scale),
            name: cell.name,
            count: parts.length,
            most: MOST_PARTS,
            at: "/scale"
          )
        end
        put_in_place(cell, parts)
      end

      # Refusal for a name that is empty, too long or taken.
      def rename(number, name)
        known([number])
        name = name.to_s.strip
        if name.empty? || name.length > Naming::LONGEST
          raise Refusal.new("index.name_length", longest: Naming::LONGEST, at: "/name")
        end
        refuse_taken(name, number)
        change([number]) { |_| {name: name} }
      end

      # The cell comes to this place in the order.
      def place_at(number, place)
        cell = known([number]).first
        rest = @cells - [cell]
        Order.counted(rest.insert((place - 1).clamp(0, rest.length), cell))
      end

      private

      def known(numbers)
        raise Refusal.new("index.no_cell_selected", at: "/numbers") if numbers.empty?
        missing = numbers - @cells.map(&:number)
        if missing.any?
          raise Refusal.new("index.no_such_sheet", number: missing.first, count: @cells.length, at: "/numbers")
        end
        @cells.select { |cell| numbers.include?(cell.number) }
      end

      # The block gives what changes of a cell.
      def change(numbers)
        known(numbers)
        @cells.map { |cell| numbers.include?(cell.number) ? cell.with(**yield(cell)) : cell }
      end

      def placed(numbers)
        change(numbers) { |cell| at(cell, *yield(cell.ground)).merge(pinned: true, moved: true) }
      end

      # The frame's ground about a place, at a scale.
      def at(cell, x, y, angle, scale = cell.scale)
        size = @size.call(scale)
        refuse_beyond(cell, size.crs, x, y)
        {ground: Geometry::TurnedRectangle.new(x.to_f, y.to_f, *size.at(x, y), angle.to_f)}
      end

      # A place that leads to a longitude and latitude, and back to itself within a metre.
      def refuse_beyond(cell, crs, x, y)
        way = Crs::Transform.between(crs, crs.geographic)
        again = way.inverse(way.forward([x.to_f, y.to_f]))
        return if again.all?(&:finite?) && Math.hypot(again[0] - x, again[1] - y) * crs.metres_per_unit <= 1.0
        raise Refusal.new("index.cell_outside", cell: cell ? "Cell #{cell.name}" : "The new cell", crs: crs.name)
      end

      def free(wanted) = Naming.free(wanted, @cells.to_h { |cell| [cell.name.downcase, true] })

      def refuse_taken(name, number)
        other = @cells.find { |cell| cell.number != number && cell.name.casecmp?(name) } or return
        raise Refusal.new("index.name_taken", number: other.number, name: other.name, at: "/name")
      end

      def put_in_place(cell, parts)
        taken = (@cells - [cell]).to_h { |other| [other.name.downcase, true] }
        fresh =
          parts.each_with_index.map do |part, index|
            name = Naming.free("#{cell.name}-#{index + 1}", taken).tap { |free| taken[free.downcase] = true }
            Cell.new(
              **part.to_h,
              name: name,
              row: cell.row,
              column: cell.column,
              pinned: true,
              moved: true,
              feature: cell.feature
            )
          end
        place = @cells.index(cell)
        Order.counted(@cells[0...place] + fresh + @cells[(place + 1)..])
      end
    end
  end
end
