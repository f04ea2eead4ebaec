# frozen_string_literal: true

module TileLoom
  module Layout
    # The design of a page: the paper and its elements in drawing order.
    class Layout
      attr_reader :name, :page, :elements

      # settings: "layout" or "key_layout" of the book document; faces: a Type::FaceSet; path: where in the
      # document it is.
      def initialize(settings, faces: Type::Library, path: "/layout")
        @path = path
        @name = settings["name"]
        @page = Page.new(settings["page"])
        @elements =
          settings["elements"].each_with_index.map do |element, index|
            TileLoom::Furniture::Element.build(element, path: "#{path}/elements/#{index}", faces: faces)
          end
      end

      # The map frame that drives the cells.
      def main_frame
        elements.find { |element| element.is_a?(TileLoom::Furniture::Elements::MapFrame) } or
          raise Invalid.new(
            "The layout has no map frame; add one, since its size decides the cells.",
            path: "#{@path}/elements"
          )
      end

      # The key frame, whose scale the key sheet has.
      def key_frame
        elements.find { |element| element.is_a?(TileLoom::Furniture::Elements::IndexFrame) } or
          raise Invalid.new(
            "The key sheet has no key frame; add one, since it shows the index.",
            path: "#{@path}/elements"
          )
      end

      # The box of the main frame in page mm.
      def frame_box = main_frame.box(page)
    end
  end
end
