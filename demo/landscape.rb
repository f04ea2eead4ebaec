# frozen_string_literal: true

module Demo
  # Everything on the moor but its contours, as [geometry, attributes] lists in EPSG:25829 metres:
  # geometry is {type, coordinates} as in GeoJSON.
  class Landscape
    CENTRE = [HeightField::WEST + 2780, HeightField::SOUTH + 2330].freeze
    COMPARTMENTS = [
      "Corrie Flat",
      "Black Hags",
      "Long Sike",
      "Sallow Bank",
      "Peewit Rigg",
      "Skarrow Top",
      "Wether Mire",
      "Thrawn Moss",
      "Heron Lap",
      "Ember Knowe",
      "Low Ings",
      "Stell Side"
    ].freeze
    BURNS = [
      "Skarrow Burn",
      "Wether Burn",
      "Sallow Sike",
      "Black Hag Burn",
      "Ember Water",
      "Long Sike",
      "Peewit Beck",
      "Stell Burn"
    ].freeze
    LOCHANS = [
      "Loch Skarrow",
      "Heron Lochan",
      "Black Lochan",
      "Peewit Pool",
      "Ember Dub",
      "High Dub",
      "Thrawn Dub"
    ].freeze

    def initialize(field, drainage)
      @field, @drainage = field, drainage
      @random = Random.new(2026)
    end

    def area = [[polygon([area_ring]), {"name" => "Skarrow Moss restoration area", "hectares" => hectares}]]

    # A concave outline: an oval with lobes and a deep bay on its northern side.
    def area_ring
      @area_ring ||=
        begin
          ring =
            (0...180).map do |step|
              angle = step * Math::PI / 90
              lobes =
                1 + 0.10 * Math.sin(3 * angle + 0.8) + 0.06 * Math.sin(5 * angle + 2.1) + 0.035 * Math.sin(9 * angle) +
                0.02 * Math.sin(17 * angle + 1)
              bay = 0.42 * Math.exp(-((angle - 1.75) / 0.22)**2) + 0.2 * Math.exp(-((angle - 4.1) / 0.16)**2)
              [CENTRE[0] + 1960 * Math.cos(angle) * (lobes - bay), CENTRE[1] + 1440 * Math.sin(angle) * (lobes - bay)]
            end
          close(Curve.smooth(close(ring), 2).uniq)
        end
    end

    def compartments
      hull = TileLoom::Geometry::Geos.read(TileLoom::Geometry::Wkb.polygon([area_ring.flatten]))
      parts(voronoi, hull)
        .sort_by { |part| [-part.centroid.y.round(-2), part.centroid.x] }
        .each_with_index
        .map do |part, index|
          name = COMPARTMENTS[index % COMPARTMENTS.length]
          [
            geometry(part),
            {"code" => format("SM%02d", index + 1), "name" => name, "hectares" => (part.area / 10_000).round(1)}
          ]
        end
    end

    # Burns carry a name, gullies a number; each ends on the water that it joins.
    def water
      @water ||=
        begin
          names = BURNS.dup
          found =
            chains.each_with_index.flat_map do |chain, index|
              split = chain.index { |row, column| @drainage.flow[row][column] >= 1800 } || chain.length
              burn = chain.drop([split - 1, 0].max)
              [
                ([course(chain.first(split + 1)), {"kind" => "gully", "number" => index + 1}] if split > 6),
                (
                  if burn.length > 6
                    [course(burn), {"kind" => "burn", "name" => ((burn.length > 60) ? names.shift.to_s : "")}]
                  end
                )
              ].compact
            end
          join(found.map(&:first))
          found.map { |points, attributes| [line(points), attributes] }
        end
    end

    # Smoothing has moved the courses a little: the end of each is drawn to the nearest other one.
    def join(courses)
      lines = courses.map { |points| TileLoom::Geometry::Geos.read(TileLoom::Geometry::Wkb.line(points.flatten)) }
      courses.each_with_index do |points, index|
        last = TileLoom::Geometry::Geos.read(TileLoom::Geometry::Wkb.point(*points.last))
        nearest =
          lines
            .each_with_index
            .reject { |_, other| other == index }
            .map(&:first)
            .min_by { |other| other.distance(last) }
        next unless nearest.distance(last).between?(0.01, 40)
        place = nearest.interpolate(nearest.project(last))
        points[-1] = [place.x, place.y]
      end
    end

    def lochans
      HeightField::HOLLOWS
        .zip(LOCHANS)
        .filter_map do |(u, v, _, _), name|
          x, y = HeightField::WEST + u * 1000, HeightField::SOUTH + v * 1000
          row, column =
            ((y - HeightField::SOUTH) / HeightField::STEP).round,
            ((x - HeightField::WEST) / HeightField::STEP).round
          level = @drainage.filled[row][column]
          depth = level - @field.grid[row][column]
          next if depth < 0.4
          [polygon([shore(x, y, level)]), {"name" => name, "level_m" => level.round(1), "depth_m" => depth.round(1)}]
        end
    end

    def dams
      inside = TileLoom::Geometry::Geos.read(TileLoom::Geometry::Wkb.polygon([area_ring.flatten])).to_prepared
      gullies = water.select { |_, attributes| attributes["kind"] == "gully" }
      places =
        gullies.flat_map do |shape, attributes|
          Curve.along(shape["coordinates"], 46 + @random.rand * 34, 30).map { |place| [place, attributes["number"]] }
        end
      pools =
        TileLoom::Geometry::Geos
          .union(
            lochans.map do |shape, _|
              TileLoom::Geometry::Geos.read(TileLoom::Geometry::Wkb.polygon([shape["coordinates"][0].flatten]))
            end
          )
          .buffer(6)
          .to_prepared
      kept =
        places.select do |(x, y), _|
          here = TileLoom::Geometry::Geos.read(TileLoom::Geometry::Wkb.point(x, y))
          inside.contains?(here) && !pools.intersects?(here)
        end
      kept.each_with_index.map { |(place, gully), index| [point(place), dam(index, gully)] }
    end

    def tracks
      [
        [
          [0.1, 0.35],
          [0.7, 0.75],
          [1.15, 1.25],
          [1.55, 1.5],
          [2.1, 1.55],
          [2.5, 1.95],
          [2.85, 2.3],
          [3.35, 2.3],
          [3.9, 2.75],
          [4.4, 3.0],
          [5.5, 3.25]
        ],
        [[2.85, 2.3], [2.8, 2.75], [2.45, 3.05], [2.0, 3.0], [1.6, 2.75], [1.2, 2.7]],
        [[3.35, 2.3], [3.5, 1.8], [3.8, 1.4], [4.3, 1.15]]
      ].zip(["Moss Road", "Summit Track", "Ings Track"])
        .map { |points, name| [line(road(points)), {"name" => name, "surface" => "stone"}] }
    end

    def boardwalk
      points = [
        [1.0, 1.62],
        [1.35, 1.75],
        [1.6, 2.05],
        [1.95, 2.2],
        [2.1, 2.32],
        [2.3, 2.35],
        [2.55, 2.5],
        [2.75, 2.75],
        [2.95, 2.9],
        [3.2, 2.88],
        [3.4, 2.65],
        [3.6, 2.55]
      ]
      [[line(road(points)), {"name" => "Skarrow Boardwalk"}]]
    end

    def fences
      outer = TileLoom::Geometry::Geos.read(TileLoom::Geometry::Wkb.polygon([area_ring.flatten])).buffer(38).boundary
      ring =
        TileLoom::Geometry::Wkb.each_run(TileLoom::Geometry::Geos.write(outer.simplify(14))).first[1].each_slice(2).to_a
      cut = ring.length / 5
      march =
        [[0.35, 2.2], [0.75, 2.45], [0.95, 2.95], [1.3, 3.6], [1.35, 4.5]].map do |u, v|
          [HeightField::WEST + u * 1000, HeightField::SOUTH + v * 1000]
        end
      [[line(ring.drop(cut)), {"kind" => "stock fence"}], [line(march), {"kind" => "march fence"}]]
    end

    def huts
      [
        [2.87, 2.33, "Skarrow Hut"],
        [1.13, 1.3, "Gate Bothy"],
        [2.02, 3.04, "Summit Shelter"],
        [4.28, 1.2, "Ings Store"],
        [3.93, 2.8, "Wether Hut"]
      ].map { |u, v, name| [point([HeightField::WEST + u * 1000, HeightField::SOUTH + v * 1000]), {"name" => name}] }
    end

    def hazards
      kinds = ["deep peat", "quaking bog", "old shaft", "undercut bank"]
      [
        [1.62, 2.35],
        [2.4, 2.1],
        [3.15, 3.25],
        [3.7, 2.1],
        [2.05, 1.95],
        [2.7, 3.35],
        [4.05, 2.2],
        [1.3, 2.5],
        [3.25, 1.6],
        [2.55, 1.45],
        [4.3, 1.9]
      ].each_with_index.map do |(u, v), index|
        [
          point([HeightField::WEST + u * 1000, HeightField::SOUTH + v * 1000]),
          {"kind" => kinds[index % kinds.length], "number" => index + 1}
        ]
      end
    end

    private

    def hectares =
      (TileLoom::Geometry::Geos.read(TileLoom::Geometry::Wkb.polygon([area_ring.flatten])).area / 10_000).round(1)

    def chains = @chains ||= @drainage.streams(200)

    # A stream's line: every second grid place, corners cut, thinned to half a metre.
    def course(chain)
      places = chain.each_slice(2).map(&:first)
      points = (places + [chain.last]).uniq.map { |row, column| HeightField.place(row, column) }
      thin(Curve.smooth(Curve.wander(points, 26, 55.0), 2))
    end

    def thin(points)
      shape = TileLoom::Geometry::Geos.read(TileLoom::Geometry::Wkb.line(points.flatten)).simplify(0.5)
      TileLoom::Geometry::Wkb.each_run(TileLoom::Geometry::Geos.write(shape)).first[1].each_slice(2).to_a
    end

    def road(points)
      ground = points.map { |u, v| [HeightField::WEST + u * 1000, HeightField::SOUTH + v * 1000] }
      Curve.smooth(Curve.wander(Curve.densify(ground, 90), 90, 140.0), 3)
    end

    def dam(index, gully)
      roll = @random.rand
      condition =
        if roll < 0.68
          "sound"
        elsif roll < 0.88
          "leaking"
        else
          "failed"
        end
      {
        "code" => format("D%03d", index + 1),
        "type" => %w[peat peat peat timber stone coir][@random.rand(6)],
        "condition" => condition,
        "gully" => gully,
        "inspected" => format("%d-%02d-%02d", 2023 + @random.rand(3), 3 + @random.rand(8), 1 + @random.rand(28))
      }
    end

    # Where the terrain rises above the water, seen from the middle; an outlet does not draw it out.
    def shore(x, y, level)
      rays =
        (0...72).map do |step|
          angle = step * Math::PI / 36
          (1..200).find { |n| @field.at(x + n * 2 * Math.cos(angle), y + n * 2 * Math.sin(angle)) > level + 0.05 } ||
            200
        end
      most = rays.sort[36] * 1.35
      ring =
        rays.each_with_index.map do |distance, step|
          reach = [distance, most].min * 2 - 1
          [x + reach * Math.cos(step * Math::PI / 36), y + reach * Math.sin(step * Math::PI / 36)]
        end
      close(Curve.smooth(close(ring), 1).uniq)
    end

    SEEDS = [
      [1.0, 2.5],
      [1.55, 1.5],
      [1.7, 2.45],
      [1.5, 3.3],
      [2.3, 1.7],
      [2.35, 2.7],
      [2.9, 2.2],
      [3.05, 1.4],
      [3.5, 2.9],
      [3.75, 2.1],
      [4.4, 2.5],
      [3.3, 3.5]
    ].freeze

    def voronoi
      seeds =
        SEEDS.map { |u, v| TileLoom::Geometry::Wkb.point(HeightField::WEST + u * 1000, HeightField::SOUTH + v * 1000) }
      TileLoom::Geometry::Geos.read(TileLoom::Geometry::Wkb.collection(4, seeds)).voronoi_diagram(tolerance: 0.0)
    end

    # The diagram's cells with wandering edges, cut to the area.
    def parts(diagram, hull)
      (0...diagram.num_geometries)
        .map do |index|
          rings =
            TileLoom::Geometry::Wkb
              .each_run(TileLoom::Geometry::Geos.write(diagram.get_geometry_n(index)))
              .map { |_, flat| flat.each_slice(2).to_a }
          warped = rings.map { |ring| Curve.wander(Curve.densify(canonical(ring), 25), 120, 380.0).flatten }
          TileLoom::Geometry::Geos.read(TileLoom::Geometry::Wkb.polygon(warped)).make_valid.intersection(hull)
        end
        .reject(&:empty?)
    end

    # Each edge from its smaller to its larger end, so that neighbours share every point of it.
    def canonical(ring)
      ring
        .each_cons(2)
        .flat_map do |a, b|
          edge = ((a <=> b) == 1) ? Curve.densify([b, a], 25).reverse : Curve.densify([a, b], 25)
          edge[0..-2]
        end + [ring.last]
    end

    def geometry(shape)
      polygons = TileLoom::Geometry::Geos.parts(shape).select { |part| part.area > 1 }
      rings =
        polygons.map do |part|
          TileLoom::Geometry::Wkb
            .each_run(TileLoom::Geometry::Geos.write(part))
            .map { |_, flat| flat.each_slice(2).to_a }
        end
      rings.one? ? polygon(rings.first) : {"type" => "MultiPolygon", "coordinates" => rings}
    end

    def close(ring) = ring + [ring.first]

    def polygon(rings) = {"type" => "Polygon", "coordinates" => rings}

    def line(points) = {"type" => "LineString", "coordinates" => points}

    def point(place) = {"type" => "Point", "coordinates" => place}
  end
end
