# frozen_string_literal: true

module TileLoom
  module Crs
    # How far a reference's map plane is from true over a ground: the smallest and largest point scale,
    # in words that a ruler understands, and what to be warned of.
    class Distortion
      # scale: along the direction in which it is smallest or largest.
      Place = Struct.new(:scale, :area, :where, keyword_init: true)

      STEPS = [0.0, 0.25, 0.5, 0.75, 1.0].freeze
      # Scale errors above this are worth a warning.
      MOST_ERROR = 1.0 / 1000

      # box: of the ground, in units of the reference; held: what a book's scale is true to, "projection" or
      # "ellipsoid".
      def initialize(crs, box, held: "projection")
        @crs, @box, @held = crs, box, held
      end

      def least = @least ||= places.min_by(&:scale)

      def most = @most ||= places.max_by(&:scale)

      # "A kilometre on the ground prints 0.3 m too short (west edge) to 0.2 m too short (east edge)."
      def in_words
        low, high = [least, most].map { |place| error(place) }
        return "Grid distances are #{low} everywhere here." if low == high
        "Grid distances are #{low} (#{least.where}) to #{high} (#{most.where})."
      end

      # "Areas print 0.08 % too small (west edge) to 0.05 % too small (east edge)."
      def areas_in_words
        low, high = places.minmax_by(&:area)
        words = [low, high].map { |place| area_error(place) }
        return "Areas print #{words[0]} everywhere here." if words.uniq.one?
        "Areas print #{words[0]} (#{low.where}) to #{words[1]} (#{high.where})."
      end

      # The angle from true north to grid north in the middle, in words.
      def north_in_words
        degrees = Factors.at(@crs, *@box.centre).convergence_deg
        minutes = (degrees.abs * 60).round
        return "Grid north is true north in the middle." if minutes.zero?
        "Grid north lies " \
          "#{Units::Angle.dms(Rational(minutes, 60), step_deg: Rational(1, 60), positive: "", negative: "")} " \
          "#{degrees.positive? ? "east" : "west"} of true north in the middle."
      end

      # Sentences, empty when all is well.
      def warnings = [outside, too_far].compact

      private

      def places
        @places ||=
          STEPS
            .product(STEPS)
            .flat_map do |u, v|
              factors = Factors.at(@crs, *@box.place(u, v))
              factors.axes.map { |scale| Place.new(scale: scale, area: factors.areal_scale, where: where(u, v)) }
            end
      end

      def where(u, v)
        named = [{0.0 => "south", 1.0 => "north"}[v], {0.0 => "west", 1.0 => "east"}[u]].compact
        return "in the middle" if named.empty?
        (named.length == 2) ? "#{named.join("-")} corner" : "#{named.first} edge"
      end

      def error(place)
        metres = (place.scale - 1) * 1000
        return "true" if metres.abs < 0.005
        "#{Units::Number.plain(metres.abs, decimals: (metres.abs < 0.1) ? 2 : 1)} m per km " \
          "#{metres.positive? ? "long" : "short"} (scale factor #{format("%.4f", place.scale)})"
      end

      def area_error(place)
        percent = (place.area - 1) * 100
        return "true" if percent.abs < 0.0005
        "#{Units::Number.plain(percent.abs, decimals: (percent.abs < 0.1) ? 3 : 2)} % too " \
          "#{percent.positive? ? "large" : "small"}"
      end

      def too_far
        worst = [least, most].max_by { |place| (place.scale - 1).abs }
        return if (worst.scale - 1).abs <= MOST_ERROR
        hold = "hold the scale on the ellipsoid, or " unless @held == "ellipsoid"
        "The scale of the map plane is off by more than 1 in 1,000 (#{worst.where}); #{hold}choose a CRS made for this place."
      end

      # The corners against the area of use that the register states, a tenth of a degree forgiven.
      def outside
        west, south, east, north = @crs.area_of_use || return
        lonlat = Transform.between(@crs, @crs.geographic).forward(@box.corners).each_slice(2)
        inside =
          lonlat.all? do |lon, lat|
            lat.between?(south - 0.1, north + 0.1) &&
              ((west <= east) ? lon.between?(west - 0.1, east + 0.1) : lon >= west - 0.1 || lon <= east + 0.1)
          end
        "The data extend beyond the area of use of #{@crs.name}." unless inside
      end
    end
  end
end
