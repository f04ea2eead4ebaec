# frozen_string_literal: true

module TileLoom
  module Index
    # A cell as it stands in a book, where it is not as the index generates it.
    class CellByHand < Values::Value
      WHOLE = -2_147_483_648..2_147_483_647
      PLACES = Values::List.new(Values::Number.new(-1e9..1e9), least: 2, most: 2)
      SIDES = Values::List.new(Values::Number.new(above: 0, most: 1e9), least: 2, most: 2)
      MARKS = %i[kept pinned moved].freeze

      define "cell_by_hand"
      part :id, whole(1..9_007_199_254_740_991), about: "By which the cell is meant as long as it is there."
      part :of,
        text(least: 1, most: Naming::LONGEST),
        about: "The name of the generated cell in whose place it is; without it, it is a cell more."
      part :name, text(least: 1, most: Naming::LONGEST), required: true
      part :row, whole(WHOLE), required: true
      part :column, whole(WHOLE), required: true
      part :scale, Values::Types::SCALE, required: true
      part :centre, PLACES, required: true, about: "In the book's CRS."
      part :size, SIDES, required: true, about: "Width and height in units of the book's CRS."
      part :rotation_deg, number(-360..360), default: 0, about: "Clockwise on the ground."
      part :feature, whole(WHOLE), about: "The number of the feature that it was made for."
      part :kept, flag, default: false, about: "It stayed where it was when the frame or the data changed."
      part :pinned, flag, default: false, about: "Rebuilding the index leaves it alone."
      part :moved, flag, default: false, about: "It was placed by hand."
      part :place,
        whole(1..Strip::MOST_CELLS),
        about: "Its place in the order of the book, where that is not what follows from the others."

      # The Cell, not numbered yet.
      def cell
        Cell.new(
          id: id,
          number: 0,
          name: name,
          row: row,
          column: column,
          scale: Units::Number.tidy(given["scale"]),
          ground: Geometry::TurnedRectangle.new(*centre.map(&:to_f), *size.map(&:to_f), rotation_deg.to_f),
          feature: feature,
          **MARKS.to_h { |mark| [mark, public_send(:"#{mark}?")] }
        )
      end

      # The JSON of a cell. of: the name of the generated one, or nil; place: in the order, or nil where it follows.
      def self.json(cell, of: nil, place: nil)
        ground = cell.ground
        {
          "id" => cell.id,
          "of" => of,
          "name" => cell.name,
          "row" => cell.row,
          "column" => cell.column,
          "scale" => Units::Number.tidy(cell.scale),
          "centre" => [ground.centre_x, ground.centre_y],
          "size" => [ground.width, ground.height],
          "rotation_deg" => ground.rotation_deg.zero? ? nil : ground.rotation_deg,
          "feature" => cell.feature,
          **MARKS.to_h { |mark| [mark.to_s, cell.public_send(mark) || nil] },
          "place" => place
        }.compact
      end
    end
  end
end
