# frozen_string_literal: true

module TileLoom
  module Output
    module Pdf
      # The geospatial viewport of a page (ISO 32000-2, 12.10): which ground the map frame shows.
      # Written in its own syntax, since a degree needs more decimals than pdf-core gives numbers.
      class Measure
        def initialize(settings) = @settings = settings

        # Writes the viewport's dictionary into an ObjectFile; returns its reference.
        def write(file)
          measure = file.reserve
          file.write_raw(measure, <<~OBJECT.strip)
            << /Type /Measure /Subtype /GEO /Bounds [0 0 0 1 1 1 1 0] /LPTS [0 0 0 1 1 1 1 0]
            /GPTS [#{@settings["corners_lat_lon"].flatten.map { |degrees| format("%.12f", degrees) }.join(" ")}]
            /GCS << /Type /#{@settings["geographic"] ? "GEOGCS" : "PROJCS"} #{"/EPSG #{@settings["epsg"]} " if @settings["epsg"]}#{"/WKT #{wkt} " if @settings["wkt"]}>> >>
          OBJECT
          viewport = file.reserve
          box = @settings["box_pt"].map { |points| format("%.8f", points) }.join(" ")
          file.write_raw(
            viewport,
            "<< /Type /Viewport /BBox [#{box}] /Name #{PDF::Core.pdf_object(@settings["name"])} /Measure #{measure} >>"
          )
          viewport
        end

        private

        def wkt = PDF::Core.pdf_object(PDF::Core::LiteralString.new(@settings["wkt"]))
      end
    end
  end
end
