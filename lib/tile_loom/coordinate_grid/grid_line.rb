# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # One line of a coordinate grid in a frame. axis: :x (a line of constant easting or longitude) or :y;
    # value: Rational in units of the grid's reference; index: its place in its family, counted from the grid's
    # origin; pieces: flat page-mm polylines inside the frame; course: the same beyond it.
    GridLine =
      Struct.new(:axis, :value, :index, :pieces, :course, keyword_init: true) do
        # Is it one of those that are drawn heavier, every nth?
        def major?(every) = !every.nil? && (index % every).zero?
      end
  end
end
