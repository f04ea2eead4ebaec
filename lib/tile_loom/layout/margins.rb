# frozen_string_literal: true

module TileLoom
  module Layout
    # The margins of a page, in mm.
    class Margins < Values::Value
      define
      part :top, Values::Types::LENGTH_MM, required: true
      part :right, Values::Types::LENGTH_MM, required: true
      part :bottom, Values::Types::LENGTH_MM, required: true
      part :left, Values::Types::LENGTH_MM, required: true
    end
  end
end
