# frozen_string_literal: true

module TileLoom
  module Furniture
    # What of a page stands over a frame, where no label of its ground may: other elements, the texts of its grids.
    class InTheWay
      # frame: an element that shows ground; view: what it shows on a sheet; texts: nodes of its grids.
      def initialize(frame, sheet, view, texts)
        @frame, @sheet, @view, @texts = frame, sheet, view, texts
      end

      # Geometry::Box list in page mm.
      def boxes = (elements + labels).select { |box| box.intersects?(@view.frame) && !holds?(box) }

      private

      # A box round the whole frame does not stand in its way.
      def holds?(box)
        frame = @view.frame
        box.include?(frame.min_x, frame.min_y) && box.include?(frame.max_x, frame.max_y)
      end

      # Those that come after it are drawn over it.
      def elements
        over = @sheet.elements.drop_while { |element| element.id != @frame.id }.drop(1)
        over.select { |element| element.covers? && !element.hidden? }.map { |element| turned(element) }
      end

      def turned(element)
        box = element.box(@sheet.page)
        return box if element.rotation_deg.zero?
        Geometry::Box.around(Geometry::Affine.turn(element.rotation_deg, *box.centre).map(box.corners))
      end

      def labels = Scene::Text.among(@texts).map { |text| Geometry::Box.around(text.corners) }
    end
  end
end
