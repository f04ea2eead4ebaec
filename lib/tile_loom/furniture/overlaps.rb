# frozen_string_literal: true

module TileLoom
  module Furniture
    # Labels of a frame's grids that lie over the words of other elements of the page: neither gives way, so it is told.
    class Overlaps
      # So much of each other's box in mm is no overlap that anyone sees.
      HAIR_MM = 0.2
      MOST_NAMED = 6

      # frame: an element that shows ground; round: nodes of its grids' labels.
      def initialize(frame, sheet, round)
        @frame, @sheet, @round = frame, sheet, round
      end

      # Sentences.
      def notices
        labels = boxes(@round)
        return [] if labels.empty?
        others.filter_map do |element|
          words = boxes([element.draw(@sheet)])
          count = labels.count { |label| words.any? { |box| label.intersects?(box) } }
          next if count.zero?
          "#{(count == 1) ? "A grid label" : "#{count} grid labels"} of “#{@frame.title}” and the words of “#{element.title}” lie over one another; move “#{element.title}”, or have no labels on that side."
        end
      end

      private

      def others = @sheet.elements.reject { |element| element.id == @frame.id || element.hidden? || element.gridded? }

      # What is left of the texts' boxes without a hair all round; those that have none are small.
      def boxes(nodes)
        Scene::Text
          .among(nodes)
          .filter_map do |text|
            box = Geometry::Box.around(text.corners)
            box.grow(-HAIR_MM) if [box.width, box.height].min > 2 * HAIR_MM
          end
      end
    end
  end
end
