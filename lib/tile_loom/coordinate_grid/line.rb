# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # One line of a coordinate grid in a frame. axis: :x (a line of constant easting or longitude) or :y;
    # value: Rational in units of the grid's reference; pieces: flat page-mm polylines inside the frame.
    Line = Struct.new(:axis, :value, :pieces, keyword_init: true)
  end
end
