# frozen_string_literal: true

module TileLoom
  module Raster
    # Which whole numbers pixels have.
    module Present
      # Formats of libvips with few values, by the lowest of them; what is clear is counted as one that none has.
      LOWEST = {uchar: 0, char: -128, short: -32_768, ushort: 0}.freeze
      NONE = 65_535

      module_function

      # band: a Vips::Image of one; shown: 255 where its pixels count, or nil for all of them. In order.
      def numbers(band, shown)
        lowest = LOWEST[band.format]
        return few(band, shown, lowest) if lowest
        list = band.cast(:int).write_to_memory.unpack("l*")
        counts = shown&.write_to_memory&.bytes
        list = list.each_index.filter_map { |index| list[index] unless counts[index].zero? } if counts
        list.uniq.sort
      end

      def few(band, shown, lowest)
        numbers = (band - lowest).cast(:ushort)
        numbers = shown.ifthenelse(numbers, NONE).cast(:ushort) if shown
        counts = numbers.hist_find.write_to_memory.unpack("L*")
        counts.each_index.filter_map { |index| index + lowest if counts[index].positive? && !(shown && index == NONE) }
      end
    end
  end
end
