# frozen_string_literal: true

module TileLoom
  module Data
    # A format of data files, by the ending of its name: which GDAL drivers read it (no others are there when it is
    # opened, so that a file of another kind under a false ending does not read), how it is opened.
    class FileFormat
      attr_reader :title, :endings, :drivers

      # zipped: the file is a zip archive that GDAL looks into, for data of this ending.
      def initialize(title, endings, drivers, zipped: nil)
        @title, @endings, @drivers, @zipped = title, endings, drivers, zipped
        freeze
      end

      def table? = title == "CSV"

      # The name under which GDAL opens the file. What is a zip archive is looked over first.
      def address(file)
        SqliteCheck.new(file).demand if SqliteCheck.sqlite?(file)
        return file unless @zipped || File.extname(file).downcase == ".kmz"
        check = ZipCheck.new(file).demand
        return file unless @zipped
        folder = check.folder_of(@zipped) or
          raise Refusal.new("data.zip_without_file", name: File.basename(file), ending: @zipped, format: title)
        ["/vsizip/#{file}", folder].reject(&:empty?).join("/")
      end

      # Options with which GDAL opens the file; columns: a Columns, for tables.
      def options(columns = Columns.new) = table? ? columns.options : []

      ALL = [
        new("GeoJSON", %w[.geojson .json], %w[GeoJSON TopoJSON]),
        new("TopoJSON", %w[.topojson], %w[TopoJSON]),
        new("GeoPackage", %w[.gpkg], %w[GPKG]),
        new("zipped Shapefile", %w[.zip], %w[Shapefile], zipped: ".shp"),
        new("KML", %w[.kml .kmz], %w[LIBKML KML]),
        new("GML", %w[.gml], %w[GML]),
        new("FlatGeobuf", %w[.fgb], %w[FlatGeobuf]),
        new("GPX", %w[.gpx], %w[GPX]),
        new("DXF", %w[.dxf], %w[DXF]),
        new("CSV", %w[.csv], %w[CSV])
      ].freeze

      # A Shapefile with the files that belong to it beside it, as on a disk of one's own; one that is sent comes
      # zipped.
      BESIDE = new("Shapefile", %w[.shp], %w[Shapefile])

      # The format of a file by its name; Refusal lists what can be read.
      def self.of(file)
        ending = File.extname(file).downcase
        return BESIDE if ending == ".shp" && File.file?(file.sub(/\.shp\z/i, ".shx"))
        ALL.find { |format| format.endings.include?(ending) } or
          raise Refusal.new("data.format_unknown", name: File.basename(file), known: known)
      end

      # "GeoJSON (.geojson, .json), …"
      def self.known = ALL.map { |format| "#{format.title} (#{format.endings.join(", ")})" }.join(", ")
    end
  end
end
