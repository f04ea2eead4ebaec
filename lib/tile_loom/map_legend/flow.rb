# frozen_string_literal: true

module TileLoom
  module MapLegend
    # Blocks flowed into columns of about the same height; what is to stay with what follows is never the last of a
    # column.
    class Flow
      # A thousandth of a mm is rounding.
      HAIR_MM = 0.001
      # Until the height is known to less than that.
      HALVINGS = 24

      # blocks: Block list; columns: how many there are; height_mm: the room of each.
      def initialize(blocks, columns:, height_mm:)
        @blocks, @columns, @height_mm = blocks, columns, height_mm
      end

      # How many blocks stand in the room, and is it all of them?
      def count = placed.sum(&:length)

      def whole? = count == @blocks.length

      # Lists of [index of the block, distance from the column's head in mm], a list for each column that is used.
      def placed = @placed ||= even || fill(@height_mm).reject(&:empty?)

      # Of the tallest column, in mm.
      def height_mm =
        placed.map { |column| column.empty? ? 0.0 : column.last[1] + @blocks[column.last[0]].height_mm }.max.to_f

      private

      # The lowest columns that hold all, or nil where the room does not.
      def even
        return fill(@height_mm) if @columns == 1
        return nil unless all?(@height_mm)
        low, high = 0.0, @height_mm
        HALVINGS.times { all?(middle = (low + high) / 2) ? high = middle : low = middle }
        fill(high)
      end

      def all?(limit) = fill(limit).sum(&:length) == @blocks.length

      # Columns filled one after another; the rest is left out.
      def fill(limit)
        columns = Array.new(@columns) { [] }
        at, column = 0.0, 0
        groups.each do |group|
          top = start(at, group)
          if top + span(group) > limit + HAIR_MM && at.positive?
            column += 1
            at = 0.0
            top = 0.0
          end
          break if column >= @columns || top + span(group) > limit + HAIR_MM
          group.each_with_index do |index, place|
            top += @blocks[index].before_mm if place.positive?
            columns[column] << [index, top]
            top += @blocks[index].height_mm
          end
          at = top
        end
        columns
      end

      def start(at, group) = at.zero? ? 0.0 : at + @blocks[group.first].before_mm

      def span(group)
        group.each_with_index.sum do |index, place|
          @blocks[index].height_mm + (place.zero? ? 0.0 : @blocks[index].before_mm)
        end
      end

      # Indexes of blocks that stay together: those that keep to what follows, with that.
      def groups
        @groups ||= @blocks.each_index.slice_when { |index, _| !@blocks[index].keeps }.to_a
      end
    end
  end
end
