# frozen_string_literal: true

module TileLoom
  module Raster
    # The formats of files of pixels, each a file in formats/.
    module Formats
      extend Values::Kinds

      # What tells where the pixels of a file lie, beside it.
      BESIDE = %w[.tfw .tifw .tiffw .pgw .pngw .jgw .jpgw .jpegw .j2w .jp2w .wld .prj .xml .aux].freeze

      class << self
        # nil for a file of none of them.
        def of_file(name) = all.values.find { |format| format.endings.include?(File.extname(name).downcase) }

        def endings = all.values.flat_map(&:endings)

        # "GeoTIFF (.tif, .tiff), …"
        def known = all.values.map { |format| "#{format.title} (#{format.endings.join(", ")})" }.join(", ")
      end
    end
  end
end
