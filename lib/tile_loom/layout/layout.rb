# frozen_string_literal: true

module TileLoom
  module Layout
    # The design of a page: the paper and its elements in drawing order.
    class Layout < Values::Value
      guides = Values::Named.new("guides", Values::List.new(Values::Number.new(-5000..5000), most: 100))

      define "layout"
      part :name, text(most: 200)
      part :page, Page.type, required: true
      part :guides,
        fields(x: guides, y: guides),
        about: "Lines to snap to, in mm from the page's left and upper edge; they do not print."
      part :elements, list(Furniture::Element.union, most: 500), required: true

      # The map frame that drives the cells.
      def main_frame
        elements.find(&:decides_cells?) or raise Refusal.new("layout.no_map_frame", at: "#{path}/elements")
      end

      # The index frame, whose scale the index sheet has.
      def index_frame
        elements.find(&:shows_index?) or raise Refusal.new("layout.no_index_frame", at: "#{path}/elements")
      end

      # The box of the main frame in page mm.
      def frame_box = main_frame.box(page)
    end
  end
end
