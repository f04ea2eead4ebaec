# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # Grids that are sound as they are, to begin with: which of them a ground has, with a reason each.
    class Presets
      # key; title; note: what it is for; settings: of the grid, without its id.
      Preset = Struct.new(:key, :title, :note, :settings, keyword_init: true)

      BLUE, BROWN, INK = "#2c5f85", "#6b4a2b", "#1f2a30"
      # National grids whose squares have letters.
      NATIONAL = {"EPSG:27700" => "Great Britain", "EPSG:29903" => "Ireland"}.freeze
      # Where the reference's own scale is off by more than this, a field of dots gets an equidistant one.
      MOST_ERROR = 0.001

      # crs: of the book; x, y: the middle of its ground in units of crs.
      def initialize(crs, x, y)
        @crs, @x, @y = crs, x, y
      end

      def all = [metric, *national, *utm, graticule, dots]

      # Refusal for one that this ground does not have.
      def find(key) =
        all.find { |preset| preset.key == key } ||
          raise(Refusal.new("grid.no_such_preset", key: key, known: all.map(&:key).join(", "), at: "/preset"))

      private

      def lon_lat = @lon_lat ||= Crs::Transform.to_wgs84(@crs).point(@x, @y)

      def stroke(colour, width = 0.12, **more) =
        {"colour" => colour, "width_mm" => width, "opacity" => 0.85}.merge(more.transform_keys(&:to_s))

      def labels(colour, sides = %w[bottom left], **more) =
        {"sides" => sides, "size_pt" => 6.5, "colour" => colour, "label_gap_mm" => 1.2}.merge(
          more.transform_keys(&:to_s)
        )

      def metric
        foot = @crs.unit && @crs.unit.code != "m"
        Preset.new(
          key: "metric",
          title: foot ? "Grid in #{@crs.unit.name.sub("foot", "feet")}" : "Metric grid",
          note: "eastings and northings of #{@crs.name}",
          settings: {
            "crs" => "book",
            "target_mm" => 40,
            "look" => "lines",
            "stroke" => stroke(BLUE),
            "labels" => labels(BLUE)
          }
        )
      end

      def utm
        return [] unless lon_lat[1].between?(-80, 84)
        zone = Squares::Mgrs.designation(*lon_lat)
        [
          Preset.new(
            key: "utm",
            title: "UTM grid",
            note: "in the zones that a sheet shows, here #{zone}",
            settings: {
              "crs" => "utm",
              "target_mm" => 40,
              "look" => "lines",
              "stroke" => stroke(BLUE),
              "labels" => labels(BLUE, hemisphere: "letters", unit: true)
            }
          ),
          Preset.new(
            key: "mgrs",
            title: "MGRS and USNG references",
            note:
              "principal digits large, letters of the 100 km squares, here #{Squares::Mgrs.reference(*lon_lat)[/\A\d+[A-Z]{3}/]}",
            settings: {
              "crs" => "utm",
              "target_mm" => 40,
              "look" => "lines",
              "stroke" => stroke(INK),
              "squares" => {
                "size_pt" => 12
              },
              "labels" => labels(INK, Side::ALL, form: "short", size_pt: 9)
            }
          )
        ]
      end

      def national
        NATIONAL
          .select { |code, _| inside?(code) }
          .map do |code, place|
            Preset.new(
              key: "national",
              title: "National grid of #{place}",
              note: "with the letters of its 100 km squares",
              settings: {
                "crs" => code,
                "target_mm" => 40,
                "look" => "lines",
                "stroke" => stroke(BLUE),
                "squares" => {
                  "size_pt" => 12
                },
                "labels" => labels(BLUE, Side::ALL, form: "short", size_pt: 8)
              }
            )
          end
          .first(1)
      end

      def inside?(code)
        west, south, east, north = Crs::System.find(code).area_of_use
        # The areas of both overlap over the sea between; the grid in use is that of the land.
        lon_lat[0].between?(west, east) && lon_lat[1].between?(south, north) &&
          (code != "EPSG:27700" || lon_lat[0] > -5.3 || lon_lat[1] > 55.3)
      end

      def graticule
        Preset.new(
          key: "graticule",
          title: "Graticule",
          note: "longitude and latitude of #{@crs.datum}",
          settings: {
            "crs" => "geographic",
            "target_mm" => 80,
            "look" => "lines",
            "stroke" => stroke(BROWN, dash_mm: [2.4, 1.2]),
            "labels" => labels(BROWN, %w[top right])
          }
        )
      end

      def dots
        own = (Crs::Factors.at(@crs, @x, @y).point_scale - 1).abs > MOST_ERROR
        Preset.new(
          key: "dots",
          title: "Field of dots",
          note:
            "at an even distance#{" in an equidistant reference" if own}: with a note, it stands in for a scale bar",
          settings: {
            "crs" => own ? equidistant : "book",
            "target_mm" => 30,
            "fitted" => "book",
            "look" => "dots",
            "size_mm" => 0.8,
            "stroke" => {
              "colour" => INK
            }
          }
        )
      end

      # Distances from the middle are true in all directions.
      def equidistant = format("+proj=aeqd +lat_0=%.4f +lon_0=%.4f +datum=WGS84 +units=m", lon_lat[1], lon_lat[0])
    end
  end
end
