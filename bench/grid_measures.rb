# frozen_string_literal: true

module Bench
  # What two coordinate grids with labels on all sides and a banded border add to a sheet.
  class GridMeasures
    ROUNDS = 40
    SIDES = %w[top right bottom left].freeze
    GRIDS = [
      {
        "id" => "metric",
        "crs" => "book",
        "target_mm" => 40,
        "stroke" => {
          "width_mm" => 0.1
        },
        "labels" => {
          "sides" => SIDES,
          "size_pt" => 6.5
        }
      },
      {
        "id" => "graticule",
        "crs" => "geographic",
        "target_mm" => 60,
        "stroke" => {
          "width_mm" => 0.1
        },
        "labels" => {
          "sides" => SIDES,
          "size_pt" => 6.5
        }
      }
    ].freeze
    ZONED = [
      {
        "id" => "utm",
        "crs" => "utm",
        "target_mm" => 40,
        "stroke" => {
          "width_mm" => 0.1
        },
        "squares" => {},
        "labels" => {
          "sides" => SIDES,
          "form" => "short"
        }
      }
    ].freeze

    # Rows of the table: [what, value].
    def rows =
      [
        ["Two grids, labels on all sides and a banded border add to a sheet, p50 · p95", times(GRIDS)],
        ["MGRS references and a banded border add to a sheet, p50 · p95", times(ZONED)]
      ]

    private

    def times(grids)
      found =
        views.map do |view|
          start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
          surround =
            TileLoom::CoordinateGrid::Surround.new(
              view: view,
              grids: grids.map { |settings| TileLoom::CoordinateGrid::Grid.new({"stroke" => {}, **settings}) },
              border: TileLoom::CoordinateGrid::BorderSpec.new({"kind" => "banded", "thickness_mm" => 2}),
              paper: TileLoom::Geometry::Box.new(0, 0, 420, 297)
            )
          nodes = surround.under + surround.over
          TileLoom::Output::Svg.new(TileLoom::Scene::Drawing.new(width_mm: 420, height_mm: 297, nodes: nodes)).to_s
          Process.clock_gettime(Process::CLOCK_MONOTONIC) - start
        end
      found = found.drop(ROUNDS / 4).sort
      format("%.1f ms · %.1f ms", found[found.length / 2] * 1000, found[(found.length * 0.95).floor] * 1000)
    end

    # Sheets side by side in a book at 1:2,500.
    def views
      crs = TileLoom::Crs::System.find("EPSG:25829")
      Array.new(ROUNDS + ROUNDS / 4) do |index|
        ground =
          TileLoom::Geometry::TurnedRectangle.new(
            402_000 + index % 8 * 785,
            6_528_000 + index / 8 * 652.5,
            785,
            652.5,
            0.0
          )
        TileLoom::View::FrameView.new(frame: TileLoom::Geometry::Box.at(30, 18, 314, 261), crs: crs, ground: ground)
      end
    end
  end
end
