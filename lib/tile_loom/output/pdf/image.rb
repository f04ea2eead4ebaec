# frozen_string_literal: true

require "zlib"

module TileLoom
  module Output
    module Pdf
      # A picture as an image of the file (ISO 32000-2, 8.9.5): JPEG data as they are, other pixels
      # compressed without loss, the opacity as a soft mask.
      class Image
        SPACES = {1 => :DeviceGray, 3 => :DeviceRGB, 4 => :DeviceCMYK}.freeze

        # raster: Artwork::Raster; width: in px, to which it is reduced; profile: an Artwork::IccProfile of a press in
        # whose colours it is to be, or nil for those of the screen.
        def initialize(raster, width: nil, profile: nil)
          @raster, @profile = width ? raster.of_width(width) : raster, profile
        end

        # The object's reference.
        def write(file) = (@raster.jpeg_colours && !@profile) ? jpeg(file) : pixels(file)

        # Members of an image of so many colours of a byte.
        def self.members(width, height, colours) =
          {
            Type: :XObject,
            Subtype: :Image,
            Width: width,
            Height: height,
            ColorSpace: SPACES.fetch(colours),
            BitsPerComponent: 8,
            Interpolate: false
          }

        private

        def head(colours) = self.class.members(@raster.width_px, @raster.height_px, colours)

        def jpeg(file) = file.add(head(@raster.jpeg_colours).merge(Filter: :DCTDecode), stream: @raster.bytes)

        def pixels(file)
          colours, count, opacity = @raster.samples(profile: @profile)
          mask = opacity && file.add(head(1), stream: Zlib::Deflate.deflate(opacity, 6))
          file.add(head(count).merge(mask ? {SMask: mask} : {}), stream: Zlib::Deflate.deflate(colours, 6))
        end
      end
    end
  end
end
