# frozen_string_literal: true

require "tmpdir"

module TileLoom
  module Data
    # Layers of features as one GeoPackage (OGC 12-128r18), a table each, in the book's reference.
    class GeoPackage
      # GDAL with a date of its own, so that the same data make the same file.
      class Writer < Sandbox::GdalProcess
        def initialize(name, date, folder)
          super(name, drivers: ["GPKG"], writes: [folder])
          @date = date
        end

        private

        def environment(folder) = super.merge("OGR_CURRENT_DATE" => "#{@date || "2000-01-01"}T00:00:00.000Z")
      end

      # What is put into another file whole.
      LARGEST_BYTES = 500 * 1024 * 1024

      # name: of the file; date: of its contents, a Date or nil.
      def initialize(name, crs:, date: nil)
        @name, @crs, @date = name, crs, date
      end

      # layers: [[name of the table, Feature list], …]. Layers without features are left out.
      def bytes(layers)
        Dir.mktmpdir("tile-loom-package") do |folder|
          file = File.join(folder, "data.gpkg")
          layers.reject { |_, features| features.empty? }.each { |table, features| add(folder, file, table, features) }
          if File.file?(file) && File.size(file) > LARGEST_BYTES
            raise Refusal.new("data.package_too_large", name: @name, most_mb: LARGEST_BYTES / 1024 / 1024)
          end
          File.file?(file) ? File.binread(file) : +""
        end
      end

      private

      def add(folder, file, table, features)
        lines = File.join(folder, "#{table}.geojsonl")
        File.open(lines, "w") { |io| features.each { |feature| io.puts(JSON.generate(geojson(feature))) } }
        existing = File.file?(file) ? %w[-update -append] : []
        Writer.new(@name, @date, folder).capture(
          "ogr2ogr",
          "-f",
          "GPKG",
          *existing,
          "-a_srs",
          @crs.code,
          "-nln",
          table,
          file,
          "GeoJSONSeq:#{lines}"
        )
      end

      def geojson(feature) =
        {"type" => "Feature", "properties" => feature.attributes, "geometry" => Geometry::Geojson.of(feature.wkb)}
    end
  end
end
