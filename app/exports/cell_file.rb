# frozen_string_literal: true

module App
  # The cells of a book as a file in an open format, and cells out of such a file. Attributes: number, name,
  # row, column, scale, rotation (clockwise, degrees), x and y of the middle, corners as well-known text.
  class CellFile
    FORMATS = TileLoom::Data::Formats.of_cells.map(&:key).freeze
    COLUMNS = %w[number name row column scale rotation x y pinned].freeze
    CORNERS = "corners"

    def initialize(book) = @book = book

    # A TileLoom::Data::VectorFile to write to, and what to write.
    def written(format)
      TileLoom::Data::VectorFile.new(
        "#{TileLoom::Document::Starter.id_for(@book.title, [])}-cells",
        format,
        crs: @book.crs,
        among: FORMATS,
        of: "cells",
        layer: "cells",
        degree_places: 11,
        shape: CORNERS
      )
    end

    def features = @book.index.core_cells.lazy.map { |cell| feature(cell) }

    # What a file holds, in the book's reference.
    def features_of(file)
      crs = @book.crs
      features =
        TileLoom::Data::FileReader.open(
          file,
          target: crs,
          columns: TileLoom::Data::Columns.new(**(csv?(file) ? {wkt: CORNERS} : {})),
          reference: csv?(file) ? crs : nil
        ).features
      raise TileLoom::Refusal.new("exports.no_cells") if features.empty?
      if features.length > TileLoom::Index::Grid::MOST_CELLS
        raise TileLoom::Refusal.new(
          "exports.too_many_cells",
          count: features.length,
          most: TileLoom::Index::Grid::MOST_CELLS
        )
      end
      features
    end

    # Cells of those: the book's order and names as the file has them, all pinned. Refusal for what lacks a name
    # or a place, or names two cells alike.
    def cells(features)
      cells = features.each_with_index.map { |feature, index| cell(feature, index) }.sort_by(&:number)
      refuse_twice(cells)
      cells.each_with_index.map { |cell, index| cell.with(number: index + 1) }
    end

    private

    def csv?(file) = File.extname(file).casecmp?(".csv")

    def feature(cell)
      ground = cell.ground
      ring = (ground.corners + ground.corners.first(2)).each_slice(2).to_a
      values = [
        cell.number,
        cell.name,
        cell.row + 1,
        cell.column + 1,
        cell.scale,
        0.0 - ground.rotation_deg,
        ground.centre_x,
        ground.centre_y,
        cell.pinned ? 1 : 0
      ]
      {
        "type" => "Feature",
        "properties" => COLUMNS.zip(values).to_h,
        "geometry" => {
          "type" => "Polygon",
          "coordinates" => [ring]
        }
      }
    end

    def cell(feature, index)
      values = feature.attributes
      name = values["name"].to_s.strip
      raise TileLoom::Refusal.new("exports.cell_without_name", number: index + 1) if name.empty?
      scale = whole(values, "scale", name)
      x, y, rotation, turn = %w[x y rotation turn].map { |key| Float(values[key].to_s, exception: false) }
      x, y = middle(feature) unless x && y
      size = core.index.size(core.crs, core.layout.frame_box, scale)
      TileLoom::Index::Cell.new(
        number: Integer(values["number"].to_s, exception: false) || index + 1,
        name: name[0, 80],
        row: [values["row"].to_i - 1, 0].max,
        column: [values["column"].to_i - 1, 0].max,
        scale: scale,
        ground: TileLoom::Geometry::TurnedRectangle.new(x, y, *size.at(x, y), counter_clockwise(rotation, turn)),
        pinned: true,
        moved: true
      )
    end

    # Files of version 1 have a turn the other way.
    def counter_clockwise(rotation, turn) = rotation ? 0.0 - rotation : (turn || 0.0)

    def core = @core ||= Book.core(@book.settings)

    def middle(feature) = TileLoom::Geometry::Geos.read(feature.wkb).centroid.then { |point| [point.x, point.y] }

    def whole(values, key, name)
      number = Float(values[key].to_s, exception: false)
      return TileLoom::Units::Number.tidy(number) if number&.finite? && number.positive?
      raise TileLoom::Refusal.new("exports.cell_without_number", name: name, key: key)
    end

    def refuse_twice(cells)
      twice = cells.group_by { |cell| cell.name.downcase }.find { |_, list| list.length > 1 } or return
      raise TileLoom::Refusal.new("exports.cell_name_twice", name: twice[1].first.name, count: twice[1].length)
    end
  end
end
