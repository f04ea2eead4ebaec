# frozen_string_literal: true

module TileLoom
  module Output
    # What an order comes to before any of it is made: files, pixels, size, time, and what is to be told.
    class Plan
      # press: a Press, whose order has been checked; workers: how many processes draw at once.
      def initialize(press, workers: 1)
        @press, @workers = press, [workers, 1].max
      end

      # {sheets, files, names (the first), pixels, bytes, seconds, told}
      def to_h =
        {
          "sheets" => @press.picked.length,
          "files" => @press.names.length,
          "names" => @press.names.values.first(MOST_NAMED),
          "pixels" => pixels,
          "bytes" => estimate[0].round,
          "seconds" => (estimate[1] / @workers).round(1),
          "notices" => notices
        }

      MOST_NAMED = 3

      # [width, height] of the largest picture, or nil.
      def pixels =
        @pixels ||=
          Press.spread(items).filter_map { |item| form.pixels(@press, item) }.max_by { |width, height| width * height }

      def notices = [*@press.readings, *@press.file_names.notices, *form.notices(@press), *coarse_pixels]

      # Layers of pixels that are coarser than what is asked for, at the scale of most sheets.
      def coarse_pixels
        scale = @press.book.index.scale
        @press
          .book
          .layers
          .select { |layer| layer.raster? && layer.tiles.nil? && layer.visible? && layer.shown_at?(scale) }
          .filter_map do |layer|
            own = @press.source.raster(layer.id)&.grid&.ppi_at(scale)
            next "The raster file of #{layer.title} is missing; the layer is left out." if own.nil?
            next if own >= @press.ppi * 0.995
            "#{layer.title} has an effective #{own.round} ppi at #{Units::Number.ratio(scale)}, fewer than " \
            "#{@press.ppi}."
          end
      end

      # In sentences.
      def in_words
        files = @press.names.length
        bytes, seconds = estimate
        [
          "#{Units::Number.grouped(files)} #{(files == 1) ? "file" : "files"}",
          pixels && "up to #{pixels.map { |side| Units::Number.grouped(side) }.join(" × ")} px",
          "about #{size_in_words(bytes)}",
          "about #{time_in_words(seconds / @workers)}"
        ].compact.join(", ") + "."
      end

      def size_in_words(bytes)
        return "#{Units::Number.grouped((bytes / 1000.0).ceil)} kB" if bytes < 1_000_000
        return "#{Units::Number.plain(bytes / 1e6, decimals: 1)} MB" if bytes < 1e9
        "#{Units::Number.plain(bytes / 1e9, decimals: 1)} GB"
      end

      def time_in_words(seconds)
        return "#{[seconds.round, 1].max} s" if seconds < 90
        "#{(seconds / 60).round} min"
      end

      private

      def form = @press.order.form

      def items = @press.items

      def estimate = @estimate ||= form.estimate(@press, items)
    end
  end
end
