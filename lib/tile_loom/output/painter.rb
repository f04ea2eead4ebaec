# frozen_string_literal: true

require "stringio"
require "tempfile"
require "vips"

module TileLoom
  module Output
    # Pixels of a page, drawn from the very PDF that is printed (by poppler through libvips), in bands of rows, so that
    # no more than one band is in memory.
    class Painter
      # Bytes of a band.
      BAND_BYTES = 40 * 1024 * 1024
      # Pixels of one picture.
      MOST_PIXELS = 2_500_000_000

      # page: a Pdf::Page; box: of the page in mm that is painted; ppi: pixels an inch; clear: without the white of the
      # paper; book: whose typefaces and pictures it has.
      def initialize(page, box:, ppi:, book:, clear: false)
        @page, @box, @ppi, @book, @clear = page, box, ppi, book, clear
      end

      # Width and height of so many millimetres in whole pixels.
      def self.pixels(box, ppi) = [box.width, box.height].map { |mm| [(mm * ppi / 25.4).round, 1].max }

      def width = @width ||= self.class.pixels(@box, @ppi)[0]

      def height = self.class.pixels(@box, @ppi)[1]

      # Yields a Vips::Image of all of it (sRGB, with opacity where it is clear); its pixels lie in a file that is gone
      # afterwards.
      def paint
        if width * height > MOST_PIXELS
          raise Refusal.new(
            "output.too_many_pixels",
            width: Units::Number.grouped(width),
            height: Units::Number.grouped(height),
            most_million: Units::Number.grouped(MOST_PIXELS / 1_000_000)
          )
        end
        bytes = document
        return yield(band(bytes, 0)) if rows.length == 1
        Tempfile.create("tile-loom-pixels", binmode: true) do |file|
          rows.each_index { |index| file.write(band(bytes, index).write_to_memory) }
          file.flush
          yield Vips::Image.rawload(file.path, width, height, bands).copy(interpretation: :srgb)
        end
      end

      private

      def bands = @clear ? 4 : 3

      # [first row, how many] of each band.
      def rows
        @rows ||=
          begin
            each = (BAND_BYTES / (width * 4)).clamp(1, height)
            (0...height).step(each).map { |first| [first, [each, height - first].min] }
          end
      end

      # A document whose pages are the bands: each sees its part of the one drawing.
      def document
        io = StringIO.new("".b)
        writer = Pdf::Writer.new(io, title: "", faces: @book.faces, pictures: @book.pictures.method(:of_content))
        writer.add_views(@page, rows.map { |first, count| medium(first, count) })
        writer.close
        io.string
      end

      # In points from the lower left corner of the page.
      def medium(first, count)
        outside, high = @page.head.values_at("outside_pt", "height_pt")
        left = @box.min_x * 72 / 25.4 + outside
        top = high + outside - @box.min_y * 72 / 25.4
        per_px = 72.0 / @ppi
        [left, top - (first + count) * per_px, left + width * per_px, top - first * per_px]
      end

      def band(bytes, index)
        paper = @clear ? [255, 255, 255, 0] : [255, 255, 255, 255]
        image = Vips::Image.pdfload_buffer(bytes, page: index, n: 1, dpi: @ppi, background: paper)
        image = image.extract_band(0, n: 3) unless @clear
        # Poppler rounds the sides of a page; a row or a column too many or too few would shift what follows.
        image = image.gravity(:"north-west", width, rows[index][1], extend: :copy) if image.width != width ||
          image.height != rows[index][1]
        image
      end
    end
  end
end
