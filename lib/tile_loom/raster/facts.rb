# frozen_string_literal: true

module TileLoom
  module Raster
    # What is known of a prepared raster beside its pixels, kept as JSON.
    #
    # kind: "picture", "classes" or "values"; type: of its numbers, as GDAL calls it; nodata: the number that stands for
    # nothing, or nil; masked: is there a mask beside it?; lowest, highest, mean, deviation, quantiles (101 of them, in
    # per cent): lists by band; palette: do numbers stand for colours?; few_colours: has a picture no more than a table
    # has?; classes: [{"value", "title", "colour"}, …]; unit: of its values, or nil; grid: Grid.
    class Facts
      MEMBERS = %w[kind bands type nodata masked lowest highest mean deviation quantiles classes unit].freeze

      attr_reader :json, :grid

      def initialize(json)
        @json = json
        @grid = Grid.of(*json.values_at("width", "height"), json["transform"], json["crs"])
      end

      MEMBERS.each { |name| define_method(name) { @json[name] } }

      # Sentences of what was guessed or put right as it was made ready.
      def notices = @json.fetch("notices", [])

      alias_method :masked?, :masked

      # Does each of its numbers, or was each of its pixels, stand for a colour of a table in the file?
      def palette? = @json["palette"] == true

      # No more colours than a table has.
      def few_colours? = palette? || @json["few_colours"] == true

      def heights? = kind == "values"

      # Lowest and highest value between two percentages of the pixels, of a band (from 0).
      def between(from, to, band = 0)
        list = quantiles[band]
        [at_percent(list, from), at_percent(list, to)]
      end

      private

      def at_percent(list, percent)
        place = percent.clamp(0, 100) / 100.0 * (list.length - 1)
        low = place.floor
        high = [low + 1, list.length - 1].min
        list[low] + (list[high] - list[low]) * (place - low)
      end
    end
  end
end
