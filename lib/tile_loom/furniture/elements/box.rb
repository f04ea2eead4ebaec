# frozen_string_literal: true

module TileLoom
  module Furniture
    module Elements
      # A rectangle with a line and an area colour of its own, its corners rounded if wanted.
      class Box < Element
        def nodes(_sheet, box) = panel(box, settings, {"width_mm" => 0.3})
      end
    end
  end
end
