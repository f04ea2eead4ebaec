# frozen_string_literal: true

module TileLoom
  module Raster
    # What the pixels of a prepared raster come to: statistics by GDAL, quantiles of those of a coarser level.
    class Measuring
      MOST_SORTED = 1_000_000
      MOST_BANDS = 8

      # info: GDAL's report of its pixels, with statistics where they are more than a picture; name: of the file;
      # wanted: see Sandbox::LimitedProcess.
      def initialize(raster, info, name:, wanted: nil)
        @raster, @info, @name, @wanted = raster, info, name, wanted
      end

      # Colours of a picture that is drawn as something other than a photograph.
      FEW_COLOURS = 256

      # Members of Facts, and "values": the whole numbers that are there, of a raster of classes.
      def to_h
        lists = sorted
        known = @info["bands"].map { |band| band.dig("metadata", "") || {} }
        {
          "lowest" => pick(known, "MINIMUM") { |index| lists[index]&.first },
          "highest" => pick(known, "MAXIMUM") { |index| lists[index]&.last },
          "mean" => pick(known, "MEAN") { |index| mean(lists[index]) },
          "deviation" => pick(known, "STDDEV") { |index| deviation(lists[index]) },
          "quantiles" => lists.map { |list| list && quantiles(list) },
          "few_colours" => @raster.facts.kind == "picture" && few_colours?,
          "values" => (@raster.facts.kind == "classes") ? values : nil
        }
      end

      private

      def pick(known, name) = known.each_index.map { |index| known[index]["STATISTICS_#{name}"]&.to_f || yield(index) }

      def level = @raster.levels.find { |level| level.width * level.height <= MOST_SORTED } || @raster.levels.last

      # Values of each band that are there, in order; nil for a band without any.
      def sorted
        pixels, mask = @raster.window(level, 0, 0, level.width, level.height)
        shown = mask&.write_to_memory&.bytes
        (0...[pixels.bands, MOST_BANDS].min).map do |band|
          list = pixels[band].cast(:double).write_to_memory.unpack("d*")
          list = list.each_index.filter_map { |index| list[index] unless shown[index].zero? } if shown
          list.reject!(&:nan?)
          list.empty? ? nil : list.sort!
        end
      end

      def quantiles(list) = (0..100).map { |percent| list[(percent / 100.0 * (list.length - 1)).round] }

      def mean(list) = list && list.sum / list.length

      def deviation(list)
        return nil unless list
        middle = mean(list)
        Math.sqrt(list.sum { |value| (value - middle)**2 } / list.length)
      end

      # By the pixels of the coarser level.
      def few_colours?
        pixels, = @raster.window(level, 0, 0, level.width, level.height)
        size = pixels.bands
        return false unless pixels.format == :uchar && [1, 3].include?(size)
        bytes = pixels.write_to_memory
        found = Set.new
        (0...bytes.bytesize).step(size) do |at|
          return false if found.add(bytes.byteslice(at, size)).length > FEW_COLOURS
        end
        true
      end

      # All of them, from the finest level, in bands of rows.
      def values
        found = []
        finest = @raster.levels.first
        rows = [2_000_000 / finest.width, 1].max
        (0...finest.height).step(rows) do |top|
          raise Refusal.new("data.not_wanted", name: @name) if @wanted && !@wanted.call
          pixels, mask = @raster.window(finest, 0, top, finest.width, [rows, finest.height - top].min)
          found |= Present.numbers(pixels[0], mask)
          break if found.length > Inspection::MOST_CLASSES
        end
        found.sort
      end
    end
  end
end
