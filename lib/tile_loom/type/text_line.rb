# frozen_string_literal: true

module TileLoom
  module Type
    # A line of a paragraph: cells between tabs, each of [string, TextStyle] pieces.
    class TextLine
      # A cell in its place: x from the column's left, and the way that its tab's leader fills, [from, to, sign], or
      # nil.
      Placed = Struct.new(:x, :width, :pieces, :leader)

      attr_reader :cells

      # stops: TabStop list; last: is it the last of its paragraph?
      def initialize(cells, stops: [], last: false)
        @cells, @stops, @last = cells, stops, last
      end

      def last? = @last

      def tabbed? = cells.length > 1

      def empty? = cells.all?(&:empty?)

      # In reading order, the spaces that close it left out.
      def to_s = cells.map { |cell| cell.map(&:first).join }.join("\t")

      def width_mm = @width_mm ||= placed.last.then { |cell| cell.x + cell.width }

      # Placed list.
      def placed
        @placed ||=
          cells
            .each_with_index
            .reduce([]) do |found, (pieces, index)|
              found << (index.zero? ? Placed.new(0.0, span(pieces), pieces) : after_tab(found.last, pieces))
            end
      end

      # The style that its height goes by: the largest of those on the line; nil of an empty one.
      def tallest = cells.flatten(1).map(&:last).select { |style| style.rise_mm.zero? }.max_by(&:size_pt)

      private

      def span(pieces) = pieces.sum { |string, style| style.width_mm(string) }

      def after_tab(before, pieces)
        from = before.x + before.width
        stop = TabStop.after(from, @stops)
        width = span(pieces)
        x = [stop.start(pieces, width), from].max
        Placed.new(x, width, pieces, stop.leader.empty? ? nil : [from, x, stop.leader])
      end
    end
  end
end
