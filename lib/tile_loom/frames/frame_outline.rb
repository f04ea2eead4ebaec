# frozen_string_literal: true

module TileLoom
  module Frames
    # The ground of another frame of the page as it lies in this one: bent as the two references have it, always where
    # that frame is now.
    class FrameOutline < Values::Value
      # What is smaller than this on paper is a dot.
      DOT_BELOW_MM = 2.0
      DOT_MM = 1.4
      # Of an edge that bends, from its chords.
      TOLERANCE_MM = 0.05
      # Legs of brackets at the corners, as a share of the sides.
      LEG = 0.22

      define "frame_outline"
      identified
      part :frame, Values::Types::ID, about: "Whose ground; that of the page's main frame where none is named."
      part :look,
        choice(outline: "an outline", brackets: "brackets at its corners", veil: "a veil outside it"),
        default: "outline",
        about: "A line round it, a veil outside it, or brackets at its corners."
      part :stroke,
        Scene::Stroke::TYPE,
        default: {},
        under: {
          "colour" => "#1f6f78",
          "width_mm" => 0.5,
          "join" => "miter"
        }
      part :fill, Scene::Fill::TYPE, about: "Inside it; of a veil, outside it."
      part :lettered, flag, default: true, about: "With the letter of that frame, if it has one."
      part :leaders, flag, default: false, about: "Lines from it to that frame, where both are on the page."
    end
  end
end
