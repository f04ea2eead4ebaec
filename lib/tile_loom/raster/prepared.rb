# frozen_string_literal: true

require "json"
require "vips"

module TileLoom
  module Raster
    # A raster ready to be drawn: a cloud-optimised GeoTIFF (OGC 21-026) with coarser levels, beside it a mask where
    # some of its pixels are none, and what is known of it. All three were written by Prepare, so that they are
    # read in this process.
    #
    # A raster that is drawn answers
    #   facts, grid          what is known of it (Facts), where its pixels lie (Grid)
    #   levels               [Level], the finest first
    #   window(level, left, top, width, height)
    #                        [Vips::Image of its bands, mask or nil] of so many of a level's pixels; what lies outside
    #                        repeats the edge, and its mask is 0
    #   told                 what of the windows was not to be had, in a sentence, or nil
    #   waiting?             will more of it be to be had in a moment?
    #   afresh               the same for another drawing, with nothing told yet
    class Prepared
      PIXELS, MASK, FACTS = "pixels.tif", "mask.tif", "raster.json"

      # number: of the page in the file; factor: pixels of the finest level that one of these spans, across and down.
      Level = Struct.new(:number, :width, :height, :factor)

      def self.read(folder) = new(folder, Facts.new(JSON.parse(File.read(File.join(folder, FACTS)))))

      attr_reader :facts, :folder

      def initialize(folder, facts)
        @folder, @facts = folder, facts
      end

      def grid = facts.grid

      # All of it is here.
      def notices = nil

      def afresh = self

      def waiting? = false

      def levels
        @levels ||=
          (0...page(PIXELS, 0).get("n-pages"))
            .map { |number| [number, page(PIXELS, number)] }
            .map do |number, image|
              Level.new(
                number,
                image.width,
                image.height,
                [grid.width / image.width.to_f, grid.height / image.height.to_f]
              )
            end
      end

      # The coarsest level of which a pixel spans no more than so many of the finest.
      def level_for(step) = levels.reverse.find { |level| level.factor.max <= step * 1.001 } || levels.first

      def window(level, left, top, width, height)
        pixels = part(page(PIXELS, level.number), left, top, width, height, :copy)
        [pixels, mask(level, pixels, left, top, width, height)]
      end

      # Values of the bands at a place of its own reference, or nil where there is none.
      def at(x, y)
        column, row = grid.inverse.point(x, y).map(&:floor)
        return nil unless column.between?(0, grid.width - 1) && row.between?(0, grid.height - 1)
        pixels, mask = window(levels.first, column, row, 1, 1)
        (mask && mask.getpoint(0, 0).first.zero?) ? nil : pixels.getpoint(0, 0)
      end

      private

      def path(name) = File.join(@folder, name)

      def page(name, number) = Vips::Image.tiffload(path(name), page: number)

      def part(image, left, top, width, height, beyond)
        x, y = left.clamp(0, image.width - 1), top.clamp(0, image.height - 1)
        right, bottom = (left + width).clamp(x + 1, image.width), (top + height).clamp(y + 1, image.height)
        inner = image.crop(x, y, right - x, bottom - y)
        return inner if [x, y, right, bottom] == [left, top, left + width, top + height]
        inner.embed(x - left, y - top, width, height, extend: beyond)
      end

      # 255 where there is a pixel; nil where all are.
      def mask(level, pixels, left, top, width, height)
        outside = left.negative? || top.negative? || left + width > level.width || top + height > level.height
        found = valid(level, pixels, left, top, width, height)
        return found unless outside
        inside =
          part((Vips::Image.black(level.width, level.height) + 255).cast(:uchar), left, top, width, height, :black)
        found ? found & inside : inside
      end

      def valid(level, pixels, left, top, width, height)
        if facts.masked?
          number = mask_pages.find { |_, image| image.width == level.width && image.height == level.height }.first
          return part(page(MASK, number), left, top, width, height, :black) > 127
        end
        return nil if facts.nodata.nil?
        number = facts.nodata
        known = (number == "nan") ? pixels.relational(pixels, :equal) : pixels.relational_const(:noteq, [number.to_f])
        (known.bands == 1) ? known : known.bandor
      end

      def mask_pages = @mask_pages ||= (0...page(MASK, 0).get("n-pages")).map { |number| [number, page(MASK, number)] }
    end
  end
end
