# frozen_string_literal: true

module TileLoom
  module MapLegend
    module Samples
      # A rectangle as large as the room.
      class Rectangle < Sample
        kind "rectangle", "rectangle", rank: 1
        shape :area

        def runs(box) = [box.corners]
      end
    end
  end
end
