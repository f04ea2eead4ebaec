# frozen_string_literal: true

module TileLoom
  module Frames
    module Extents
      # Round this sheet's own ground: so many times as wide and as high.
      class Sheet < Extent
        kind "sheet", "around this sheet", rank: 2
        part :times, number(0.05..1000), default: 3, about: "The sheet's ground, so many times as wide and as high."

        def alike? = false

        def focus(sheet, crs)
          ground = sheet.cell&.ground or return nil
          brought(ground.sized(ground.width * times, ground.height * times).corners, sheet, crs)
        end
      end
    end
  end
end
