# frozen_string_literal: true

module TileLoom
  module Raster
    # A format of files of pixels. A kind of format is a file in formats/: it declares by which endings it is known and
    # the GDAL driver that alone reads it, so that a file of another kind under a false ending does not read.
    class Format
      extend Values::Kind

      class << self
        # Of files, in lower case with the dot; GDAL's short names of the drivers that read it.
        attr_reader :endings, :drivers

        # inside: drivers of what the format holds.
        def reads(*endings, driver:, inside: [])
          @endings, @drivers = endings, [driver, *inside]
        end

        # Values of pixels that a byte of the file can stand for at most; nil where a format may leave them out.
        def samples_per_byte = nil

        # Are its pixels stored with loss, as photographs are? info: GDAL's report of the file.
        def lossy?(_info) = false

        # Refuses a container that holds more than data.
        def check(_file, _name) = nil

        # Options with which GDAL opens one of its pictures. name: of the picture, where it holds several.
        def open_options(_name) = []

        # [name, …] of the pictures that a file holds, by GDAL's report; nil for one.
        def pictures(_info) = nil
      end
    end
  end
end
