# frozen_string_literal: true

module TileLoom
  module Furniture
    module Elements
      # A rectangle with a line and an area colour of its own, its corners rounded if wanted.
      class Box < Element
        kind "box", "Box", rank: 9
        size_mm 40, 25
        start "stroke" => {"colour" => "#1f2a30", "width_mm" => 0.3}
        part :fill, Scene::Fill::TYPE
        part :stroke, Scene::Stroke::TYPE, default: {"width_mm" => 0.3}, under: {"join" => "miter"}
        part :corner_mm, Values::Types::LENGTH_MM, default: 0

        def nodes(_sheet, box) = panel(box, fill, stroke, corner_mm)
      end
    end
  end
end
