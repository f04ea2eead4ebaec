# frozen_string_literal: true

module TileLoom
  module Furniture
    module Notes
      # The notes of a book: a layer of their own above all others.
      class Collection < Values::Value
        ID = "notes"

        define "notes"
        part :title, text(least: 1, most: 200), default: "Notes"
        part :visible, flag, default: true
        part :opacity, Values::Types::OPACITY, default: 1
        part :list, list(Note.type, most: 2000), default: []

        # Those that are drawn.
        def shown = visible? ? list.reject(&:hidden?) : []

        def scene_layer = Scene::Layer.new(id: ID, title: title)

        # GeoJSON Features in the book's CRS.
        def features =
          list.map do |note|
            {
              "type" => "Feature",
              "id" => note.id,
              "properties" => note.properties,
              "geometry" => Geometry::Geojson.of(note.wkb)
            }
          end
      end
    end
  end
end
