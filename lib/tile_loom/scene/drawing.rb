# frozen_string_literal: true

module TileLoom
  module Scene
    # A whole page as data. width_mm, height_mm; nodes in drawing order; viewports: the map frames
    # with where on earth they lie; title: the page's entry in an outline.
    Drawing = Struct.new(:width_mm, :height_mm, :nodes, :viewports, :title, keyword_init: true) do
      def initialize(width_mm:, height_mm:, nodes:, viewports: [], title: "") = super
    end
  end
end
