# frozen_string_literal: true

module TileLoom
  module Layout
    # The design of a page: the paper and its elements in drawing order.
    class Layout
      attr_reader :name, :page, :elements

      # settings: "layout" of the book document.
      def initialize(settings)
        @name = settings["name"]
        @page = Page.new(settings["page"])
        @elements = settings["elements"].each_with_index.map { |element, index| Element.build(element, path: "/layout/elements/#{index}") }
      end

      # The map frame that drives the cells.
      def main_frame
        elements.find { |element| element.is_a?(Elements::MapFrame) } or
          raise Invalid.new("The layout has no map frame; add one, since its size decides the cells.", path: "/layout/elements")
      end

      # The box of the main frame in page mm.
      def frame_box = main_frame.box(page)
    end
  end
end
