# frozen_string_literal: true

module TileLoom
  module Index
    # One rectangle of ground. number: its place in the book from 1; row, column: its place in the grid,
    # counted from the north-west from 0; scale: the denominator that its sheet holds;
    # ground: Geometry::TurnedRectangle in units of the book's reference; kept: it stayed where it was when
    # the frame or the data changed; pinned: a rebuild leaves it alone; moved: it was placed by hand;
    # feature: the identity of the feature that it was made for, or nil; id: what it is meant by as long as it is there,
    # wherever it stands in the order, or nil for one that is not kept yet.
    Cell =
      Struct.new(
        :id,
        :number,
        :name,
        :row,
        :column,
        :scale,
        :ground,
        :kept,
        :pinned,
        :moved,
        :feature,
        keyword_init: true
      ) do
        def initialize(...)
          super
          freeze
        end

        # The same cell with other members; itself where these are as they are. (A copy by keywords takes ten times as
        # long, and an index has many cells.)
        def with(**members)
          return self if members.all? { |name, value| self[name].eql?(value) }
          dup.tap { |copy| members.each { |name, value| copy[name] = value } }.freeze
        end

        # The Box of ground round cells; nil where there are none.
        def self.box(cells) = cells.map { |cell| cell.ground.box }.reduce { |all, other| all.union(other) }

        # Those that lie outermost to the four sides, each once.
        def self.outermost(cells) =
          %i[centre_x centre_y]
            .flat_map { |axis| cells.minmax_by { |cell| cell.ground.public_send(axis) } }
            .uniq(&:number)
      end
  end
end
