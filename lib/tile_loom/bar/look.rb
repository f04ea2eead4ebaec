# frozen_string_literal: true

module TileLoom
  module Bar
    # Colours, type and Languages::Language of a bar. ratio: "1:2,500", for the style that has it inside.
    Look =
      Struct.new(:face, :size_pt, :colour, :light, :stroke_mm, :halo, :ratio, :language, keyword_init: true) do
        def stroke = Scene::Stroke.new(colour: colour, width_mm: stroke_mm, join: "miter")

        def dark = Scene::Fill.new(colour: colour)

        def pale = Scene::Fill.new(colour: light)

        # Scene::Text that starts at (x, y).
        def text(x, y, string) =
          Scene::Text.new(x: x, y: y, string: string, face: face, size_pt: size_pt, colour: colour, halo: halo)
      end
  end
end
