# frozen_string_literal: true

module TileLoom
  module Weave
    # One rectangle of ground. number: its place in the book from 1; row, column: its place in the grid,
    # counted from the north-west from 0; scale: the denominator that its sheet holds;
    # ground: Geometry::TurnedRectangle in units of the book's reference.
    Cell = Struct.new(:number, :name, :row, :column, :scale, :ground, keyword_init: true)
  end
end
