# frozen_string_literal: true

module Bench
  # A book over one area and nothing else.
  module AreaBook
    REFERENCE = "EPSG:25829"

    module_function

    # Its document. wkb: of the area, in that reference.
    def settings(wkb, scale)
      feature = {"type" => "Feature", "properties" => {}, "geometry" => TileLoom::Geometry::Geojson.of(wkb)}
      collection = {
        "type" => "FeatureCollection",
        "crs" => {
          "type" => "name",
          "properties" => {
            "name" => REFERENCE
          }
        },
        "features" => [feature]
      }
      TileLoom::Document::Starter.document(
        title: "area",
        reference: REFERENCE,
        area: "area",
        scale: scale,
        layers: [{id: "area", title: "area", kind: "area", data: {"collection" => collection}}]
      )
    end
  end
end
