# frozen_string_literal: true

module TileLoom
  module Data
    # Which columns of a table hold places: easting and northing (or longitude and latitude), or
    # well-known text. Found by common names, or named by hand.
    class Columns
      X = %w[lon long longitude lng x easting east e].freeze
      Y = %w[lat latitude y northing north n].freeze
      TEXT = %w[wkt geom geometry the_geom].freeze

      # settings: {"x", "y"} or {"wkt"} by hand, or nothing.
      def initialize(settings = nil)
        @settings = (settings || {}).slice("x", "y", "wkt").reject { |_, name| name.to_s.strip.empty? }
      end

      def named? = @settings.any?

      # Open options of GDAL's CSV driver.
      def options
        names = named? ? [[@settings["x"]], [@settings["y"]], [@settings["wkt"]]] : [X, Y, TEXT]
        [
          "-oo",
          "AUTODETECT_TYPE=YES",
          *%w[X Y GEOM]
            .zip(names)
            .flat_map { |key, list| list.compact.empty? ? [] : ["-oo", "#{key}_POSSIBLE_NAMES=#{list.join(",")}"] }
        ]
      end

      # What these columns (by name) would be taken for: {"x", "y"}, {"wkt"} or nil.
      def among(names)
        return @settings if named?
        text = names.find { |name| TEXT.include?(name.downcase) }
        return {"wkt" => text} if text
        x, y = [X, Y].map { |known| names.find { |name| known.include?(name.downcase) } }
        (x && y) ? {"x" => x, "y" => y} : nil
      end

      # Refuses columns that are not there or that say only half of a place.
      def check(names)
        return unless named?
        missing = @settings.values - names
        if missing.any?
          raise Refusal.new("data.no_such_column", column: missing.first, known: names.join(", "), at: "/columns")
        end
        return if @settings.key?("wkt") ^ (@settings.key?("x") && @settings.key?("y"))
        raise Refusal.new("data.columns_needed", at: "/columns")
      end
    end
  end
end
