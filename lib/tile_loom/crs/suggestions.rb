# frozen_string_literal: true

module TileLoom
  module Crs
    # A short list of references for a ground, each with its reason: national and state grids whose area
    # of use holds it, its UTM zone or zones, and for wide grounds a conic or azimuthal of its own with
    # standard parallels a quarter in from top and bottom (common practice).
    class Suggestions
      Suggestion = Struct.new(:code, :name, :reason, keyword_init: true)

      # Degrees across from which a zone no longer serves, and a projection of one's own is offered.
      WIDE_DEG = 6.0
      POLAR_DEG = 70.0
      MOST_GRIDS = 6

      # box: [west, south, east, north] of the ground in degrees.
      def initialize(box)
        @box = box
        @west, @south, @east, @north = box
        @lon = (@west + @east) / 2.0
        @lat = (@south + @north) / 2.0
      end

      # The ones that serve a fixed scale best first.
      def list = wide? ? [*own, *grids, *zones] : [*grids, *zones]

      private

      def wide? = [@east - @west, @north - @south].max > WIDE_DEG

      # Grids made for topographic mapping of the smallest area that holds the ground.
      def grids
        fitting = Catalogue.all.select { |entry| entry.holds?(@box) && !entry.name.include?("UTM") }
        fitting
          .sort_by { |entry| [entry.extent.round(1), entry.code] }
          .lazy
          .select { |entry| topographic?(entry) }
          .first(MOST_GRIDS)
          .map do |entry|
            crs = System.find(entry.code)
            Suggestion.new(
              code: entry.code,
              name: entry.name,
              reason: "made for topographic maps of #{place(entry)}; unit: #{crs.unit&.name || crs.unit_name}"
            )
          end
      end

      def topographic?(entry)
        scope = System.find(entry.code).scope
        scope.match?(/topographic mapping/i) && !scope.match?(/small scale|offshore/i)
      end

      def place(entry) = entry.area.split(/ - |[;,(]/).first.to_s.strip.delete_suffix(".")

      # Reference frames that continents keep for their maps (common practice).
      FRAMES = ["ETRS89", "NAD83(2011)", "NAD83", "SIRGAS 2000", "RGRDC 2005", "GDA2020"].freeze

      # The zone in the frame of the continent, where it has one.
      def regional(zone)
        name = System.find(zone).name[/UTM zone \w+/]
        entry =
          FRAMES
            .lazy
            .filter_map do |frame|
              Catalogue.all.find { |known| known.name == "#{frame} / #{name}" && known.holds?(@box) }
            end
            .first or return []
        [
          Suggestion.new(
            code: entry.code,
            name: entry.name,
            reason: "the same zone in the reference frame of #{place(entry)}"
          )
        ]
      end

      def zones
        return [] unless @south >= -80 && @north <= 84
        codes = [@west, @lon, @east].map { |lon| Utm.code(lon, @lat) }.uniq
        codes.flat_map do |code|
          reason =
            if codes.one?
              "the UTM zone of your data"
            else
              "one of the #{codes.length} UTM zones of your data"
            end
          [
            Suggestion.new(
              code: code,
              name: System.find(code).name,
              reason: "#{reason}; known everywhere, scale within 1 in 1,000 of true across its zone"
            ),
            *regional(code)
          ]
        end
      end

      def own
        return [azimuthal("near the pole, where conics fold")] if @lat.abs > POLAR_DEG
        quarter = (@north - @south) / 4.0
        low, high = [@south + quarter, @north - quarter].map { |lat| lat.round(2) }
        return [azimuthal("a wide ground across the equator; areas stay true")] if (low + high).abs < 5
        at = "+lat_1=#{low} +lat_2=#{high} +lat_0=#{@lat.round(2)} +lon_0=#{@lon.round(2)} +datum=WGS84 +units=m"
        parallels = "with standard parallels #{low}° and #{high}°, a quarter in from top and bottom"
        [
          Suggestion.new(
            code: "+proj=aea #{at}",
            name: "Custom equal-area conic",
            reason: "a wide ground; areas stay true, #{parallels}"
          ),
          Suggestion.new(
            code: "+proj=eqdc #{at}",
            name: "Custom equidistant conic",
            reason: "a wide ground; distances along meridians stay true, #{parallels}"
          ),
          *(round? ? [azimuthal("a wide ground about as high as it is broad; areas stay true")] : [])
        ]
      end

      def round? = ((@east - @west) * Math.cos(@lat * Math::PI / 180) / (@north - @south)).between?(0.75, 1.33)

      def azimuthal(reason)
        Suggestion.new(
          code: "+proj=laea +lat_0=#{@lat.round(2)} +lon_0=#{@lon.round(2)} +datum=WGS84 +units=m",
          name: "Custom azimuthal equal-area",
          reason: reason
        )
      end
    end
  end
end
