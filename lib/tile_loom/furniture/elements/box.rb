# frozen_string_literal: true

module TileLoom
  module Furniture
    module Elements
      # A rectangle with a line and an area colour of its own, its corners rounded if wanted.
      class Box < Element
        kind "box", "Box", rank: 9
        size_mm 40, 25
        start "stroke" => {"colour" => "#1f2a30", "width_mm" => 0.3}

        include Backed
        include Backed::Cornered

        part :stroke, Scene::Stroke::TYPE, default: {"width_mm" => 0.3}, under: {"join" => "miter"}

        def covers? = !(fill || gradient).nil?

        def nodes(_sheet, box) = backing(box)
      end
    end
  end
end
