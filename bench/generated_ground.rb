# frozen_string_literal: true

module Bench
  # A ground of about a million vertices: winding lines over 19 km × 26 km, the same on every run.
  module GeneratedGround
    WEST, SOUTH, WIDTH, HEIGHT = 380_000.0, 6_500_000.0, 19_000.0, 26_000.0
    LINES, VERTICES = 2_000, 500

    module_function

    # {layer id → features}
    def layers
      random = Random.new(11)
      lines =
        (1..LINES).map do |id|
          TileLoom::Data::Feature.new(
            id: id,
            wkb: TileLoom::Geometry::Wkb.line(winding(random)),
            attributes: {
              "kind" => id % 3
            }
          )
        end
      {"area" => [area], "lines" => lines}
    end

    def settings(scale)
      TileLoom::Document::Starter.document(
        title: "Generated ground",
        reference: "EPSG:25829",
        area: "area",
        scale: scale,
        layers: [
          {id: "area", title: "Area", kind: "area", data: {"file" => "none"}},
          {id: "lines", title: "Lines", kind: "line", data: {"file" => "none"}}
        ]
      )
    end

    def area
      ring = TileLoom::Geometry::Box.new(WEST, SOUTH, WEST + WIDTH, SOUTH + HEIGHT).corners
      TileLoom::Data::Feature.new(id: 1, wkb: TileLoom::Geometry::Wkb.polygon([ring + ring.first(2)]), attributes: {})
    end

    # A line that turns a little at each step of four metres.
    def winding(random)
      x, y = WEST + random.rand * WIDTH, SOUTH + random.rand * HEIGHT
      heading = random.rand * 6.28
      Array
        .new(VERTICES) do
          heading += (random.rand - 0.5) * 0.9
          [x += Math.cos(heading) * 4, y += Math.sin(heading) * 4]
        end
        .flatten
    end
  end
end
