# frozen_string_literal: true

module TileLoom
  module Ground
    # A format of data files, by the ending of its name: which GDAL drivers may read it (a file of
    # another kind under a false ending is refused), how it is opened.
    class FileFormat
      attr_reader :title, :endings, :drivers, :options

      def initialize(title, endings, drivers, options = [], prefix: "")
        @title, @endings, @drivers, @options, @prefix = title, endings, drivers, options, prefix
        freeze
      end

      # Is this GDAL driver one of the format's? (The last word of its name tells.)
      def driver?(name) = drivers.include?(name.to_s.split.last)

      # The name under which GDAL opens the file.
      def address(file) = "#{@prefix}#{file}"

      # Columns of places in a table: longitude and latitude, easting and northing, or well-known text.
      TABLE = %w[-oo AUTODETECT_TYPE=YES -oo X_POSSIBLE_NAMES=lon,long,longitude,x,easting,east -oo Y_POSSIBLE_NAMES=lat,latitude,y,northing,north -oo GEOM_POSSIBLE_NAMES=wkt,geom,geometry,the_geom].freeze

      ALL = [
        new("GeoJSON", %w[.geojson .json], %w[GeoJSON TopoJSON]),
        new("TopoJSON", %w[.topojson], %w[TopoJSON]),
        new("GeoPackage", %w[.gpkg], %w[GPKG]),
        new("zipped Shapefile", %w[.zip], %w[Shapefile], prefix: "/vsizip/"),
        new("KML", %w[.kml .kmz], %w[LIBKML KML]),
        new("GML", %w[.gml], %w[GML]),
        new("FlatGeobuf", %w[.fgb], %w[FlatGeobuf]),
        new("GPX", %w[.gpx], %w[GPX]),
        new("DXF", %w[.dxf], %w[DXF]),
        new("CSV", %w[.csv], %w[CSV], TABLE)
      ].freeze

      # The format of a file by its name; Invalid lists what can be read.
      def self.of(file)
        ending = File.extname(file).downcase
        ALL.find { |format| format.endings.include?(ending) } or
          raise Invalid.new("#{File.basename(file)} is of a kind that is not read here; bring #{ALL.map { |format| "#{format.title} (#{format.endings.join(", ")})" }.join(", ")}.")
      end
    end
  end
end
