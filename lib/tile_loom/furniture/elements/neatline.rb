# frozen_string_literal: true

module TileLoom
  module Furniture
    module Elements
      # The line that bounds the page's content.
      class Neatline < Element
        kind "neatline", "Neatline", rank: 6
        size_mm 100, 80
        start "stroke" => {"width_mm" => 0.5}
        part :stroke, Scene::Stroke::TYPE, default: {"width_mm" => 0.5}

        def self.turns? = false

        # Its corners are sharp.
        def covers? = false

        def nodes(_sheet, box) =
          [Scene::Path.new(runs: [box.corners], closed: true, stroke: stroke.with(join: "miter"))]
      end
    end
  end
end
