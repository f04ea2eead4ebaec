# frozen_string_literal: true

module App
  # A kept cell of an index.
  class Cell < ActiveRecord::Base
    belongs_to :grid_index

    def self.row_of(cell)
      {number: cell.number, name: cell.name, row: cell.row, column: cell.column, scale: cell.scale,
       centre_x: cell.ground.centre_x, centre_y: cell.ground.centre_y, width: cell.ground.width, height: cell.ground.height, rotation_deg: cell.ground.rotation_deg}
    end

    # attributes: a row's, by string names.
    def self.core_of(attributes)
      ground = TileLoom::Geometry::TurnedRectangle.new(*attributes.values_at("centre_x", "centre_y", "width", "height", "rotation_deg"))
      TileLoom::Weave::Cell.new(number: attributes["number"], name: attributes["name"], row: attributes["row"], column: attributes["column"],
        scale: TileLoom::Units::Number.tidy(attributes["scale"]), ground: ground)
    end

    def to_core = self.class.core_of(attributes)
  end
end
