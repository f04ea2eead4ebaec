# frozen_string_literal: true

require "tmpdir"
require "vips"

module TileLoom
  module Raster
    # A layer as it looks from afar: drawn once, pixel by pixel, in a TIFF for each of its levels, the finest first, each
    # half as fine as the one before. A part of it is read in the time of its pixels, however many features it shows.
    class FarPicture
      # Pixels on a side of what is drawn at once; of the coarsest level.
      WINDOW, COARSEST = 1_024, 512
      TIFF = {
        tile: true,
        tile_width: 256,
        tile_height: 256,
        compression: :deflate,
        predictor: :horizontal,
        bigtiff: true
      }.freeze
      # So much finer than asked for a level may be before it is brought to what was asked for.
      NEAR = 0.9

      # folder: of its levels; west, north: of its upper left corner on the ground; step: ground units that a pixel of
      # the finest level spans.
      def initialize(folder, west:, north:, step:)
        @folder, @west, @north, @step = folder, west, north, step
      end

      # Draws one into a folder. box: of the ground. The block gives the SVG of a Geometry::Box of it of WINDOW pixels on
      # each side, or nil where there is nothing. each_drawn: is every level drawn, as markers are that are as large on
      # the screen at every scale? Else the coarser ones are made of the finer.
      def self.write(folder, box, step, each_drawn: false, &block)
        level = 0
        loop do
          path = File.join(folder, "#{level}.tif")
          if level.zero? || each_drawn
            Level.new(box, step * 2**level).write(path, &block)
          else
            halved(Vips::Image.tiffload(File.join(folder, "#{level - 1}.tif"))).tiffsave(path, **TIFF)
          end
          return if [box.width, box.height].max / (step * 2**level) <= COARSEST
          level += 1
        end
      end

      def self.halved(image) = resized(image, 0.5)

      # Colours of what is clear do not run into what is beside it.
      def self.resized(image, factor) = image.premultiply.resize(factor).unpremultiply.cast(:uchar)

      # One level, drawn window by window.
      class Level
        def initialize(box, step)
          @box, @side = box, WINDOW * step
          @pixels = [box.width, box.height].map { |length| [(length / step).ceil, 1].max }
        end

        def write(path)
          across, down = @pixels.map { |count| (count / WINDOW.to_f).ceil }
          Dir.mktmpdir("tile-loom-far") do |folder|
            files =
              Array.new(across * down) do |index|
                svg = yield window(*index.divmod(across))
                svg && File.join(folder, "#{index}.tif").tap { |file| drawn(svg).tiffsave(file) }
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
          none = Vips::Image.black(WINDOW, WINDOW, bands: 4).cast(:uchar).copy(interpretation: :srgb)
          Vips::Image.arrayjoin(files.map { |file| file ? Vips::Image.tiffload(file) : none }, across: across)
        end

        def drawn(svg)
          width = Vips::Image.svgload_buffer(svg).width
          Vips::Image.svgload_buffer(svg, scale: WINDOW / width.to_f).gravity(:"north-west", WINDOW, WINDOW)
        end
      end
      private_constant :Level

      # [Vips::Image with opacity, the Geometry::Box of ground that it shows] of the part that meets a box, whose pixels
      # span about detail of the ground, but for the finest; nil where nothing of it does.
      def part(box, detail)
        number = level(detail)
        image, step = Vips::Image.tiffload(path(number)), @step * 2**number
        left, right = [(box.min_x - @west) / step, (box.max_x - @west) / step]
        top, bottom = [(@north - box.max_y) / step, (@north - box.min_y) / step]
        left, top = [left.floor, top.floor].map { |side| [side, 0].max }
        right, bottom = [right.ceil, image.width].min, [bottom.ceil, image.height].min
        return nil if right <= left || bottom <= top
        ground =
          Geometry::Box.new(@west + left * step, @north - bottom * step, @west + right * step, @north - top * step)
        found = image.crop(left, top, right - left, bottom - top)
        [(step < detail * NEAR) ? self.class.resized(found, step / detail) : found, ground]
      end

      private

      def path(number) = File.join(@folder, "#{number}.tif")

      def level(detail)
        wanted = Math.log2([detail / @step, 1].max).floor
        wanted.downto(0).find { |number| File.exist?(path(number)) } || 0
      end
    end
  end
end
