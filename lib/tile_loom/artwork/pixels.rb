# frozen_string_literal: true

require "digest"
require "vips"
require "zlib"

module TileLoom
  module Artwork
    # Pixels that were made for one drawing, which carries them along: what the ground looks like under a frame.
    class Pixels
      QUALITY = 90
      # Bytes that are compressed at once.
      BAND_BYTES = 16 * 1024 * 1024

      # Data for a file: filter is :jpeg or :deflate; colours: 1, 3 or 4 of a byte; mask: compressed, or nil.
      Streams = Struct.new(:filter, :colours, :data, :mask)

      attr_reader :width_px, :height_px

      # colours: a Vips::Image of 1 or 3 bands of bytes; opacity: of one band, or nil; lossless: is no value to change?
      # quick: are they looked at once, so that time counts more than size?
      def initialize(colours, opacity: nil, lossless: false, quick: false)
        @colours, @opacity, @lossless, @quick = colours, opacity, lossless, quick
        @width_px, @height_px = colours.width, colours.height
      end

      # Does the drawing bring its bytes along, rather than the book?
      def carried? = true

      # It is no larger than the drawing has a use for.
      def reduced(_most) = self

      # For a browser.
      def media = (@lossless || @opacity) ? "image/png" : "image/jpeg"

      def bytes
        return @colours.jpegsave_buffer(Q: QUALITY, strip: true) unless @lossless || @opacity
        if @quick
          image.pngsave_buffer(strip: true, compression: 1, filter: :none)
        else
          image.pngsave_buffer(strip: true, compression: 4)
        end
      end

      # profile: an IccProfile of a press in whose colours they are to be, or nil.
      def streams(profile: nil)
        @streams&.fetch(profile&.name, nil) || found_streams(profile).tap { |found| keep(profile, found) }
      end

      # As a Vips::Image, with opacity where there is any.
      def image = @opacity ? @colours.bandjoin(@opacity) : @colours

      private

      # Small ones are asked for by many pages.
      FEW_BYTES = 1024 * 1024

      def keep(profile, found)
        @streams = {profile&.name => found} if found.data.bytesize < FEW_BYTES
      end

      def found_streams(profile)
        shown = profile ? profile.device(rgb) : @colours
        lossy = !@lossless && shown.bands < 4
        Streams.new(
          lossy ? :jpeg : :deflate,
          shown.bands,
          lossy ? shown.jpegsave_buffer(Q: QUALITY, strip: true) : deflated(shown),
          @opacity && deflated(@opacity)
        )
      end

      def rgb = (@colours.bands == 1) ? @colours.bandjoin([@colours, @colours]).copy(interpretation: :srgb) : @colours

      # Row by row, so that no more than some of it is in memory.
      def deflated(image)
        deflate = Zlib::Deflate.new(6)
        rows = (BAND_BYTES / (image.width * image.bands)).clamp(1, image.height)
        out = +"".b
        (0...image.height).step(rows) do |top|
          out << deflate.deflate(image.crop(0, top, image.width, [rows, image.height - top].min).write_to_memory)
        end
        out << deflate.finish
      ensure
        deflate.close
      end
    end
  end
end
