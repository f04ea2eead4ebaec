# frozen_string_literal: true

module TileLoom
  module Compose
    # A small picture of a ground in a reference, with its graticule: what leans, what bends.
    class CrsPicture
      GRATICULE = {
        "id" => "graticule",
        "title" => "Graticule",
        "crs" => "geographic",
        "target_mm" => 22,
        "stroke" => {
          "colour" => "#2f74a8",
          "width_mm" => 0.15
        },
        "labels" => {
          "sides" => %w[bottom left],
          "size_pt" => 6,
          "colour" => "#2f74a8"
        }
      }.freeze
      MARGIN_MM = 7.0
      # Ground shown round the outline, as a share of its larger side.
      ROOM = 0.15

      # outline: flat ring of the ground in units of crs.
      def initialize(crs:, outline:, width_mm:, height_mm:)
        @crs, @outline, @width_mm, @height_mm = crs, outline, width_mm, height_mm
      end

      # Scene::Drawing.
      def drawing
        shape =
          Scene::Path.new(
            runs: [view.to_page(@outline)],
            closed: true,
            fill: Scene::Fill.new(colour: "#8c2f39", opacity: 0.12),
            stroke: Scene::Stroke.new(colour: "#8c2f39", width_mm: 0.4)
          )
        edge =
          Scene::Path.new(
            runs: [view.frame.corners],
            closed: true,
            stroke: Scene::Stroke.new(colour: "#545c60", width_mm: 0.2)
          )
        Scene::Drawing.new(width_mm: @width_mm, height_mm: @height_mm, nodes: [shape, *graticule, edge])
      end

      private

      def graticule
        CoordinateGrid::Surround.new(view: view, grids: [CoordinateGrid::Grid.new(GRATICULE, path: "/graticule")]).over
      end

      def view
        @view ||=
          begin
            frame = Geometry::Box.new(MARGIN_MM, 2.0, @width_mm - 2.0, @height_mm - MARGIN_MM + 2.0)
            box = Geometry::Box.around(@outline)
            box = box.grow([box.width, box.height].max * ROOM + 1e-6)
            per_mm = [box.width / frame.width, box.height / frame.height].max
            View::FrameView.new(
              frame: frame,
              ground: Geometry::TurnedRectangle.new(*box.centre, frame.width * per_mm, frame.height * per_mm, 0.0),
              crs: @crs
            )
          end
      end
    end
  end
end
