# frozen_string_literal: true

module TileLoom
  module Layout
    # The edge that is bound, and the room left there.
    class BindingEdge < Values::Value
      define
      part :edge, choice("left", "top", "right"), required: true
      part :gutter_mm, Values::Types::LENGTH_MM, required: true
      part :mirrored,
        flag,
        default: false,
        about:
          "Printed on both sides: even pages of the book (an index sheet is page 1) have left and right the other way round."
    end
  end
end
