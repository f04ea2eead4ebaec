# frozen_string_literal: true

module App
  # A kept cell of an index.
  class Cell < ActiveRecord::Base
    belongs_to :grid_index

    # By string names, with numbers as the database gives them back, so that rows can be compared.
    def self.row_of(cell)
      ground = cell.ground
      {
        "cell_id" => cell.id,
        "number" => cell.number,
        "name" => cell.name,
        "row" => cell.row,
        "column" => cell.column,
        "scale" => cell.scale.to_f,
        "centre_x" => ground.centre_x.to_f,
        "centre_y" => ground.centre_y.to_f,
        "width" => ground.width.to_f,
        "height" => ground.height.to_f,
        "rotation_deg" => ground.rotation_deg.to_f,
        "kept" => cell.kept == true,
        "pinned" => cell.pinned == true,
        "moved" => cell.moved == true,
        "feature" => cell.feature
      }
    end

    # attributes: a row's, by string names.
    def self.core_of(attributes)
      ground =
        TileLoom::Geometry::TurnedRectangle.new(
          attributes["centre_x"],
          attributes["centre_y"],
          attributes["width"],
          attributes["height"],
          attributes["rotation_deg"]
        )
      TileLoom::Index::Cell.new(
        id: attributes["cell_id"],
        number: attributes["number"],
        name: attributes["name"],
        row: attributes["row"],
        column: attributes["column"],
        scale: TileLoom::Units::Number.tidy(attributes["scale"]),
        ground: ground,
        kept: attributes["kept"] == true,
        pinned: attributes["pinned"] == true,
        moved: attributes["moved"] == true,
        feature: attributes["feature"]
      )
    end

    def to_core = self.class.core_of(attributes)
  end
end
