# frozen_string_literal: true

require "fileutils"
require "tmpdir"
require "vips"

module TileLoom
  module Raster
    # A layer as it looks from afar: drawn once, pixel by pixel, in a TIFF for each of its levels, each half as fine as
    # the one before, with strokes and markers as wide as they are on a screen at its scale. A part of it is read in the
    # time of its pixels, however many features it shows.
    class FarPicture
      # Pixels on a side of what is drawn at once of the finest level (of the others as much ground, so that no drawing
      # has more features than those of the finest); of the coarsest level.
      WINDOW, COARSEST = 1_024, 1_024
      TIFF = {
        tile: true,
        tile_width: 256,
        tile_height: 256,
        compression: :deflate,
        predictor: :horizontal,
        bigtiff: true
      }.freeze

      # folder: of its levels, as far as they are drawn; box: of the ground that it shows; step: ground units that a
      # pixel of the finest level spans.
      def initialize(folder, box, step)
        @folder, @box, @step = folder, box, step
      end

      # Draws the coarsest of the levels that are not there. The block gives the SVG of a Geometry::Box of so many
      # pixels on each side, or nil where there is nothing.
      def draw_next(&block)
        number = coarsest.downto(0).find { |level| !File.exist?(path(level)) } or return
        part = "#{path(number)}.#{::Process.pid}.tif"
        Level.new(@box, @step * 2**number, [WINDOW >> number, 1].max).write(part, &block)
        File.rename(part, path(number))
      ensure
        FileUtils.rm_f(part) if part
      end

      # Is what shows so many ground units as a pixel there?
      def there?(detail) = File.exist?(path(level(detail)))

      # Is all of it?
      def whole? = (0..coarsest).all? { |number| File.exist?(path(number)) }

      # One level, drawn window by window.
      class Level
        # window: pixels on a side of what is drawn at once.
        def initialize(box, step, window)
          @box, @window, @side = box, window, window * step
          @pixels = [box.width, box.height].map { |length| [(length / step).ceil, 1].max }
        end

        # The windows wait in libvips' own form: of a picture put together of a thousand files in that no more is in
        # memory than is written at the moment, of other formats all of it.
        def write(path)
          across, down = @pixels.map { |count| (count / @window.to_f).ceil }
          Dir.mktmpdir("tile-loom-far") do |folder|
            files =
              Array.new(across * down) do |index|
                svg = yield window(*index.divmod(across)), @window
                svg && File.join(folder, "#{index}.v").tap { |file| drawn(svg).vipssave(file) }
              end
            joined(files, across).crop(0, 0, *@pixels).tiffsave(path, **TIFF)
          end
        end

        private

        def window(row, column)
          west, north = @box.min_x + column * @side, @box.max_y - row * @side
          Geometry::Box.new(west, north - @side, west + @side, north)
        end

        def joined(files, across)
          none = Vips::Image.black(@window, @window, bands: 4).cast(:uchar).copy(interpretation: :srgb)
          Vips::Image.arrayjoin(files.map { |file| file ? Vips::Image.vipsload(file) : none }, across: across)
        end

        def drawn(svg)
          width = Vips::Image.svgload_buffer(svg).width
          Vips::Image.svgload_buffer(svg, scale: @window / width.to_f).gravity(:"north-west", @window, @window)
        end
      end
      private_constant :Level

      # [Vips::Image with opacity, the Geometry::Box of ground that it shows] of the part that meets a box, whose pixels
      # span about detail of the ground; nil where nothing of it does.
      def part(box, detail)
        number = level(detail)
        image, step = Vips::Image.tiffload(path(number)), @step * 2**number
        left, right = [(box.min_x - @box.min_x) / step, (box.max_x - @box.min_x) / step]
        top, bottom = [(@box.max_y - box.max_y) / step, (@box.max_y - box.min_y) / step]
        left, top = [left.floor, top.floor].map { |side| [side, 0].max }
        right, bottom = [right.ceil, image.width].min, [bottom.ceil, image.height].min
        return nil if right <= left || bottom <= top
        west, north = @box.min_x, @box.max_y
        ground = Geometry::Box.new(west + left * step, north - bottom * step, west + right * step, north - top * step)
        [image.crop(left, top, right - left, bottom - top), ground]
      end

      private

      def path(number) = File.join(@folder, "#{number}.tif")

      def coarsest = @coarsest ||= [Math.log2([@box.width, @box.height].max / (@step * COARSEST)).ceil, 0].max

      # The one whose pixels are nearest to it in size.
      def level(detail) = Math.log2([detail / @step, 1].max).round.clamp(0, coarsest)
    end
  end
end
