# frozen_string_literal: true

module TileLoom
  module MapLegend
    # A row measured for a column's width. height_mm; natural_mm: the width that it needs; before_mm: room above it, but
    # at a column's head; keeps: does it stay with what follows? drawn: gives scene nodes from its upper left corner
    # [x, y] in page mm; notices: what of it is not as asked for, in sentences.
    Block =
      Struct.new(:height_mm, :natural_mm, :before_mm, :keeps, :drawn, :notices, keyword_init: true) do
        def initialize(height_mm:, natural_mm:, drawn:, before_mm: 0.0, keeps: false, notices: []) = super

        # The same with room below it.
        def with_room(below_mm) = self.class.new(**to_h, height_mm: height_mm + below_mm)

        def nodes(x, y) = drawn.call(x, y)
      end
  end
end
