# frozen_string_literal: true

module TileLoom
  module Furniture
    module Elements
      # An ellipse that fills its box.
      class Ellipse < Element
        kind "ellipse", "Ellipse", rank: 10
        size_mm 30, 30
        start "stroke" => {"colour" => "#1f2a30", "width_mm" => 0.3}

        include Backed

        part :stroke, Scene::Stroke::TYPE, default: {"width_mm" => 0.3}, under: {"join" => "miter"}

        STEPS = 72

        def covers? = !(fill || gradient).nil?

        def nodes(_sheet, box) = backed([box.ellipse(STEPS)], box)
      end
    end
  end
end
