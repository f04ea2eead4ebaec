# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # Where a line of each family meets inside the frame (page mm); along: unit vectors in which the line of
    # constant x and the line of constant y run there; major: do lines that are drawn heavier meet?
    Node =
      Struct.new(:x, :y, :along, :x_index, :y_index, keyword_init: true) do
        def major?(every) = !every.nil? && (x_index % every).zero? && (y_index % every).zero?
      end
  end
end
