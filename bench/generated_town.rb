# frozen_string_literal: true

module Bench
  # A town as a municipality has it, the same on every run: a district, 300,000 buildings that stand closer the nearer
  # they are to one of its centres, roads and hydrants, in one GeoPackage.
  class GeneratedTown
    REFERENCE = "EPSG:25829"
    WEST, SOUTH, WIDTH, HEIGHT = 380_000.0, 6_500_000.0, 24_000.0, 17_000.0
    BUILDINGS, ROADS, HYDRANTS = 300_000, 4_000, 20_000
    CENTRES = [[0.45, 0.5, 0.08], [0.25, 0.3, 0.06], [0.7, 0.65, 0.1], [0.6, 0.2, 0.05], [0.15, 0.75, 0.07]].freeze
    USES = %w[house flats shed garage shop works school church barn office].freeze

    # times: so many times the buildings.
    def initialize(times: 1) = @times = times

    # Writes the GeoPackage; its path.
    def write(folder)
      file = File.join(folder, "town-#{@times}.gpkg")
      layers.each_with_index do |(name, features), place|
        text = File.join(folder, "#{name}.geojsonl")
        File.open(text, "w") { |io| features.each { |feature| io.puts(feature) } }
        more = place.zero? ? [] : %w[-update]
        done = system("ogr2ogr", "-f", "GPKG", *more, "-a_srs", REFERENCE, "-nln", name, file, "GeoJSONSeq:#{text}")
        raise "the town of the measurement could not be written" unless done
        File.delete(text)
      end
      file
    end

    private

    # name → lines of GeoJSON
    def layers = {"district" => district, "buildings" => buildings, "roads" => roads, "hydrants" => hydrants}

    def line(kind, coordinates, **properties) =
      %({"type":"Feature","properties":#{JSON.generate(properties)},) +
        %("geometry":{"type":"#{kind}","coordinates":#{JSON.generate(coordinates)}}})

    def district
      ring =
        (0...72).map do |step|
          angle = step * Math::PI / 36
          reach = 0.485 - 0.015 * Math.cos(angle * 5)
          [WEST + WIDTH * (0.5 + reach * Math.cos(angle)), SOUTH + HEIGHT * (0.5 + reach * Math.sin(angle))]
        end
      [line("Polygon", [rounded(ring + ring.first(1))], name: "Skarrow")]
    end

    def buildings
      random = Random.new(17)
      Enumerator.new do |out|
        (BUILDINGS * @times).times do |n|
          x, y = place(random)
          out << line(
            "Polygon",
            [outline(random, x, y)],
            number: n + 1,
            name: "Building #{n + 1}",
            use: USES[(random.rand**2 * USES.length).to_i],
            storeys: 1 + (random.rand**3 * 9).to_i,
            height_m: (3 + random.rand * 25).round(2),
            built: 1780 + random.rand(245),
            street: "Street #{random.rand(4000)}"
          )
        end
      end
    end

    # A rectangle or an L, turned.
    def outline(random, x, y)
      width, depth = 7 + random.rand * 14, 6 + random.rand * 9
      angle = random.rand * Math::PI
      cos, sin = Math.cos(angle), Math.sin(angle)
      corners = [[0, 0], [width, 0], [width, depth], [0, depth]]
      corners[2, 1] = [[width, depth / 2], [width / 2, depth / 2], [width / 2, depth]] if random.rand < 0.4
      ring = corners.map { |u, v| [x + u * cos - v * sin, y + u * sin + v * cos] }
      rounded(ring + ring.first(1))
    end

    # Three in four near a centre, the others anywhere in the district.
    def place(random)
      loop do
        u, v = random.rand, random.rand
        if random.rand < 0.75
          cx, cy, spread = CENTRES[random.rand(CENTRES.length)]
          reach = spread * Math.sqrt(-2 * Math.log(1 - random.rand))
          angle = random.rand * 2 * Math::PI
          u, v = cx + reach * Math.cos(angle), cy + reach * Math.sin(angle) * WIDTH / HEIGHT
        end
        return WEST + u * WIDTH, SOUTH + v * HEIGHT if Math.hypot(u - 0.5, v - 0.5) < 0.46
      end
    end

    def roads
      random = Random.new(19)
      (1..ROADS).map do |n|
        x, y = place(random)
        heading = random.rand * 2 * Math::PI
        course =
          Array.new(20) do
            heading += (random.rand - 0.5) * 0.5
            [x += Math.cos(heading) * 40, y += Math.sin(heading) * 40]
          end
        line("LineString", rounded(course), name: "Street #{n}", rank: n % 4)
      end
    end

    def hydrants
      random = Random.new(23)
      (1..HYDRANTS).map { |n| line("Point", rounded([place(random)]).first, number: n, kind: %w[post pit][n % 2]) }
    end

    def rounded(course) = course.map { |x, y| [x.round(2), y.round(2)] }
  end
end
