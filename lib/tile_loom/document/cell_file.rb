# frozen_string_literal: true

module TileLoom
  module Document
    # The cells of a book as a file in an open format, and cells out of such a file. Attributes: number, name, row,
    # column, scale, rotation (clockwise, degrees), x and y of the middle, corners as well-known text.
    class CellFile
      COLUMNS = %w[number name row column scale rotation x y pinned].freeze
      CORNERS = "corners"

      # book: a Book.
      def initialize(book) = @book = book

      # Keys of the formats that it is written in.
      def self.formats = Data::Formats.of_cells.map(&:key)

      # A Data::VectorFile to write to; Refusal for a format that is none of them.
      def written(format)
        Data::VectorFile.new(
          "#{Starter.id_for(@book.title, [])}-cells",
          format,
          crs: @book.crs,
          among: self.class.formats,
          of: "cells",
          layer: "cells",
          degree_places: 11,
          shape: CORNERS
        )
      end

      # What to write of Index::Cells, one at a time.
      def features(cells) = cells.lazy.map { |cell| feature(cell) }

      # What a file holds, in the book's reference. Refusal for one of no cells, or of too many.
      def features_of(file)
        features = reader(file, table: File.extname(file).casecmp?(".csv")).features
        raise Refusal.new("cell_file.no_cells") if features.empty?
        if features.length > Index::Grid::MOST_CELLS
          raise Refusal.new("cell_file.too_many_cells", count: features.length, most: Index::Grid::MOST_CELLS)
        end
        features
      end

      # Cells of those: the book's order and names as the file has them, all pinned. Refusal for what lacks a name or a
      # place, or names two cells alike.
      def cells(features)
        cells = features.each_with_index.map { |feature, index| cell(feature, index) }.sort_by(&:number)
        refuse_twice(cells)
        cells.each_with_index.map { |cell, index| cell.with(number: index + 1) }
      end

      private

      def reader(file, table:) =
        Data::FileReader.open(
          file,
          target: @book.crs,
          columns: Data::Columns.new(**(table ? {wkt: CORNERS} : {})),
          reference: table ? @book.crs : nil
        )

      def feature(cell)
        ground = cell.ground
        ring = (ground.corners + ground.corners.first(2)).each_slice(2).to_a
        values = [
          cell.number,
          cell.name,
          cell.row + 1,
          cell.column + 1,
          cell.scale,
          ground.rotation_deg,
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
        raise Refusal.new("cell_file.cell_without_name", number: index + 1) if name.empty?
        scale = scale(values, name)
        x, y, rotation, turn = %w[x y rotation turn].map { |key| Float(values[key].to_s, exception: false) }
        x, y = middle(feature) unless x && y
        size = @book.cell_size(scale)
        Index::Cell.new(
          number: Integer(values["number"].to_s, exception: false) || index + 1,
          name: name[0, 80],
          row: [values["row"].to_i - 1, 0].max,
          column: [values["column"].to_i - 1, 0].max,
          scale: scale,
          ground: Geometry::TurnedRectangle.new(x, y, *size.at(x, y), clockwise(rotation, turn)),
          pinned: true,
          moved: true
        )
      end

      # Files of version 1 have a turn the other way.
      def clockwise(rotation, turn) = rotation || 0.0 - (turn || 0.0)

      def middle(feature) = Geometry::Geos.read(feature.wkb).centroid.then { |point| [point.x, point.y] }

      def scale(values, name)
        number = Float(values["scale"].to_s, exception: false)
        return Units::Number.tidy(number) if number&.finite? && number.positive?
        raise Refusal.new("cell_file.cell_without_number", name: name, key: "scale")
      end

      def refuse_twice(cells)
        twice = cells.group_by { |cell| cell.name.downcase }.find { |_, list| list.length > 1 } or return
        raise Refusal.new("cell_file.cell_name_twice", name: twice[1].first.name, count: twice[1].length)
      end
    end
  end
end
