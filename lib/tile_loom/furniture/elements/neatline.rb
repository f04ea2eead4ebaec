# frozen_string_literal: true

module TileLoom
  module Furniture
    module Elements
      # The line that bounds the page's content.
      class Neatline < Element
        def nodes(_sheet, box)
          stroke = TileLoom::Symbology::Symbol.stroke(settings["stroke"] || {"width_mm" => 0.5})
          stroke.join = "miter"
          [Scene::Path.new(runs: [box.corners], closed: true, stroke: stroke)]
        end
      end
    end
  end
end
