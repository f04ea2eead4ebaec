# frozen_string_literal: true

require "tmpdir"

module TileLoom
  module Data
    # Features written as a file in an open format by GDAL, in the book's reference (GeoJSON: in longitude and
    # latitude, as RFC 7946 asks).
    class VectorFile
      # title: of the file; layer: of the layer in it; crs: a Crs::System that the features are in; among: the formats
      # to choose from, Refusal where it is none of them; of: what is written, in words; degree_places: decimals of
      # longitude and latitude; shape: what a table calls its well-known text.
      def initialize(title, format, crs:, among:, of:, layer: title, degree_places: 9, shape: "shape")
        unless among.include?(format)
          raise Refusal.new("data.no_such_format", format: format, thing: of, known: among.join(", "))
        end
        @title, @layer, @crs, @degree_places, @shape, @thing = title, layer, crs, degree_places, shape, of
        @format = Formats.of(format)
      end

      # Of the download.
      def name = "#{@title}#{@format.ending}"

      def type = @format.type

      # features: hashes of GeoJSON Features in the book's reference, one at a time. Yields the finished file,
      # which is gone after the block.
      def make(features)
        Dir.mktmpdir("tile-loom-export") do |folder|
          source = File.join(folder, "source.geojsonl")
          File.open(source, "w") do |io|
            features.each { |feature| io.puts(JSON.generate(degrees? ? in_degrees(feature) : feature)) }
          end
          # No format tells a file of nothing from a damaged one.
          raise Refusal.new("data.nothing_to_write", thing: @thing) if File.empty?(source)
          # A file of one feature is not known for what it is without its driver’s name.
          written = File.join(folder, "#{@title}#{@format.written}")
          Sandbox::GdalProcess.new(name, drivers: [@format.driver], writes: [folder]).capture(
            "ogr2ogr",
            "-a_srs",
            degrees? ? LONGITUDE_FIRST : @crs.code,
            *options,
            "-nln",
            @layer,
            written,
            "GeoJSONSeq:#{source}"
          )
          yield written
        end
      end

      private

      LONGITUDE_FIRST = "OGC:CRS84"

      def degrees? = @format.degrees?

      # By the book's own way to WGS 84, so that what goes out comes in again where it was.
      def in_degrees(feature)
        feature.merge("geometry" => feature["geometry"] && geometry_in_degrees(feature["geometry"]))
      end

      def geometry_in_degrees(geometry)
        if geometry["geometries"]
          return geometry.merge("geometries" => geometry["geometries"].map { |part| geometry_in_degrees(part) })
        end
        places = geometry["coordinates"].flatten
        @transform ||= Crs::Transform.between(@crs, Crs::System.find(LONGITUDE_FIRST))
        found = @transform.forward(places, strict: true).each_slice(2)
        geometry.merge("coordinates" => filled(geometry["coordinates"], found))
      end

      # The same nesting with other positions, taken from an enumerator.
      def filled(part, positions) =
        part.first.is_a?(Numeric) ? positions.next : part.map { |inner| filled(inner, positions) }

      def options = @format.layer_options(degree_places: @degree_places, shape: @shape)
    end
  end
end
