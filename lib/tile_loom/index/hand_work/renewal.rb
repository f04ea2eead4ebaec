# frozen_string_literal: true

module TileLoom
  module Index
    # A fresh index laid over the cells that are there: pinned cells stay as they are, what they show needs no
    # other cell, and a fresh cell in the place of an old one keeps its name. Others get the name that their
    # place has, where it is free, else their neighbour's with a letter.
    class Renewal
      # Names go along where cells are of nearly the same size.
      SAME_SIZE = 0.1
      # A fresh cell is in the place of an old one when their middles are nearer than this share of a cell.
      SAME_PLACE = 0.5
      # A cell is wanted when at least this share of it is area that no pinned cell shows.
      LEAST_NEW = 1e-6

      # Names of cells that come, go and stay.
      attr_reader :come, :go, :stay

      # Are two lengths of cells so near that names go along?
      def self.same_size?(one, other) = (one / other.to_f - 1).abs <= SAME_SIZE

      # before: the cells as they are; fresh: as they are generated now, named by the pattern; area: the StudyArea;
      # naming: its Naming; afresh: no name of a cell that is not pinned goes along.
      def initialize(before:, fresh:, area:, naming:, afresh: false)
        @before, @area, @naming, @afresh = before, area, naming, afresh
        @pinned = before.select(&:pinned)
        @shown = Geometry::ShapeTree.new(@pinned.map { |cell| cell.ground.shape })
        @fresh = @pinned.empty? ? fresh : fresh.select { |cell| wanted?(cell) }
      end

      # The cells as they are to be, not numbered yet.
      def cells
        old = (!@afresh && same_size?) ? matched : {}
        offset = offset(old)
        taken = @pinned.to_h { |cell| [cell.name.downcase, true] }
        old.each_value { |cell| taken[cell.name.downcase] = true }
        named =
          @fresh.map do |cell|
            if old[cell.number]
              with(cell, old[cell.number].name, old[cell.number].id)
            else
              newcomer(cell, old, offset, taken)
            end
          end
        tell(named)
        named + @pinned
      end

      private

      def with(cell, name, id = nil) = cell.with(name: name, id: id)

      def wanted?(cell)
        Pulse.step
        shape = cell.ground.shape
        near = @shown.query(shape)
        return true if near.empty?
        rest = shape.difference(Geometry::Geos.union(near))
        !rest.empty? && @area.shown_in(rest) > LEAST_NEW * shape.area
      end

      def same_size?
        return false if @before.empty? || @fresh.empty?
        one, other = [@before, @fresh].map { |list| list.first.ground }
        self.class.same_size?(one.width, other.width) && self.class.same_size?(one.height, other.height)
      end

      # Fresh cell's number → the old cell in whose place it is; each old one once, the nearest first.
      def matched
        free = @before.reject(&:pinned)
        side = [@fresh.first.ground.width, @fresh.first.ground.height]
        buckets =
          free.group_by { |cell| [(cell.ground.centre_x / side[0]).floor, (cell.ground.centre_y / side[1]).floor] }
        near =
          @fresh.flat_map do |cell|
            candidates(cell, buckets, side).map { |other| [apart(cell, other, side), cell.number, other] }
          end
        taken = {}
        near
          .select { |distance, *| distance < SAME_PLACE }
          .sort_by { |distance, number, other| [distance.round(9), number, other.number] }
          .each_with_object({}) do |(_, number, other), found|
            next if found.key?(number) || taken[other.number]
            taken[other.number] = true
            found[number] = other
          end
      end

      def candidates(cell, buckets, side)
        column, row = (cell.ground.centre_x / side[0]).floor, (cell.ground.centre_y / side[1]).floor
        [-1, 0, 1].product([-1, 0, 1]).flat_map { |i, j| buckets.fetch([column + i, row + j], []) }
      end

      def apart(one, other, side) =
        [
          (one.ground.centre_x - other.ground.centre_x).abs / side[0],
          (one.ground.centre_y - other.ground.centre_y).abs / side[1]
        ].max

      # By how many columns and rows the fresh grid counts otherwise than the old one.
      def offset(old)
        return [0, 0] if old.empty?
        by_number = @fresh.to_h { |cell| [cell.number, cell] }
        old
          .map { |number, other| [other.column - by_number[number].column, other.row - by_number[number].row] }
          .tally
          .max_by { |shift, count| [count, shift] }
          .first
      end

      # Every free name is better than none of its kind: first that of its place, then a neighbour's.
      def newcomer(cell, old, offset, taken)
        column, row = cell.column + offset[0], cell.row + offset[1]
        wanted = (@naming.kind == "places" && old.any?) ? placed(cell, column, row, old) : cell.name
        name = Naming.free(wanted, taken)
        taken[name.downcase] = true
        with(cell, name)
      end

      def placed(cell, column, row, old)
        return @naming.place(column, row, @before.map(&:row).max + 1) unless column.negative? || row.negative?
        old
          .values
          .min_by do |other|
            [
              Math.hypot(other.ground.centre_x - cell.ground.centre_x, other.ground.centre_y - cell.ground.centre_y),
              other.number
            ]
          end
          .name
      end

      def tell(named)
        before, after = @before.map(&:name), (named + @pinned).map(&:name)
        @come, @go, @stay = after - before, before - after, before & after
      end
    end
  end
end
