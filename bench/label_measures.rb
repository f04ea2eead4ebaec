# frozen_string_literal: true

module Bench
  # What labels cost beyond the drawing of their sheet.
  class LabelMeasures
    FRAME_MM = [360, 250].freeze
    # The first of them warm up the compiler, as the first proofs of a server do.
    ROUNDS, WARMING = 25, 8

    def rows = [*crowds, world]

    private

    def clock = Process.clock_gettime(Process::CLOCK_MONOTONIC)

    def view
      @view ||=
        TileLoom::View::FrameView.new(
          frame: TileLoom::Geometry::Box.at(0, 0, *FRAME_MM),
          ground: TileLoom::Geometry::TurnedRectangle.new(0, 0, *FRAME_MM, 0),
          crs: TileLoom::Crs::System.find("EPSG:25829")
        )
    end

    # So many points with so many positions each.
    def crowds
      [[500, 4], [625, 8]].map do |count, positions|
        features = points(count)
        layer = layer(TileLoom::Symbology::Labels::PointPlacement::ORDER.first(positions))
        times =
          Array.new(ROUNDS) do
            drawing = TileLoom::View::LayerDrawing.new(layer: layer, features: features, view: view, tolerance_mm: 0.05)
            drawing.group
            start = clock
            @result = TileLoom::View::Labels::Placing.new(view, [drawing]).result
            clock - start
          end
        [
          "#{count} labels with #{count * positions} places on a sheet, placed",
          format(
            "%.0f ms; %d without room",
            times.drop(WARMING).sort[(ROUNDS - WARMING) / 2] * 1000,
            @result.unplaced.length
          )
        ]
      end
    end

    def points(count)
      random = Random.new(18)
      width, height = FRAME_MM
      Array.new(count) do |id|
        place = [(random.rand - 0.5) * width, (random.rand - 0.5) * height]
        TileLoom::Data::Feature.new(
          id: id,
          wkb: TileLoom::Geometry::Wkb.point(*place),
          attributes: {
            "name" => format("N%03d", id)
          }
        )
      end
    end

    def layer(positions)
      TileLoom::Symbology::Layer.new(
        {
          "id" => "places",
          "title" => "Places",
          "rules" => [
            {
              "title" => "",
              "symbol" => {
                "marker" => {
                  "shape" => "circle",
                  "size_mm" => 1,
                  "colour" => "#000000"
                }
              }
            }
          ],
          "labels" => [
            {"field" => "name", "size_pt" => 6, "points" => {"positions" => positions, "leader" => false}}
          ]
        }
      )
    end

    # Names of countries (Natural Earth at 1:110 million, of npm's world-atlas) at 7 pt on a sheet of the world.
    def world
      crs = TileLoom::Crs::System.find("EPSG:8857")
      file = File.expand_path("../web/node_modules/world-atlas/countries-110m.json", __dir__)
      features = TileLoom::Data::FileReader.open(file, layer: "countries", target: crs).features
      view =
        TileLoom::View::FrameView.new(
          frame: TileLoom::Geometry::Box.at(0, 0, 400, 195),
          ground: TileLoom::Geometry::TurnedRectangle.new(0, 0, 34_600_000, 16_867_500, 0),
          crs: crs
        )
      layer = countries
      drawing = TileLoom::View::LayerDrawing.new(layer: layer, features: features, view: view, tolerance_mm: 0.05)
      drawing.group
      start = clock
      result = TileLoom::View::Labels::Placing.new(view, [drawing]).result
      [
        "Countries of the world at 7 pt on 400 × 195 mm, named",
        format("%d of %d; %.0f ms", result.placed.length, result.counts.values.sum, (clock - start) * 1000)
      ]
    end

    def countries =
      TileLoom::Symbology::Layer.new(
        {
          "id" => "countries",
          "title" => "Countries",
          "rules" => [{"title" => "", "symbol" => {"strokes" => [{"width_mm" => 0.1}]}}],
          "labels" => [{"field" => "name", "size_pt" => 7}]
        }
      )
  end
end
