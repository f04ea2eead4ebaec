# frozen_string_literal: true

module TileLoom
  module Symbology
    # How the pixels of a layer are shown. A kind of look is a file in raster_looks/: it says what of the pixels is
    # worked out before they are brought to the page, how they are taken from one grid to another, and what colour each
    # value has there.
    class RasterLook < Values::Value
      class << self
        include Values::Kind

        def read(given, path: "", assets: nil)
          return super if self != RasterLook
          RasterLooks.of(given["kind"]).new(given, path: path, assets: assets)
        end

        def union
          @union ||= Values::OneOfKinds.new("raster_look", RasterLook, required: ["kind"]) { RasterLooks }
        end

        # Look of a raster that has just come, as a document has it. facts: Raster::Facts.
        def start(_facts) = {"kind" => key}
      end

      def kind = self.class.key

      # The name of libvips' way from one grid to another. facts: Raster::Facts.
      def interpolation(_facts) = "bilinear"

      # Must no value be changed on the way to the file?
      def lossless?(_facts) = true

      # Pixels about a place that its worked-out values depend on.
      def reach = 0

      # pixels: a Vips::Image of the source; ground: a Raster::Slope of the same pixels; returns bands to be brought to
      # the page.
      def worked(pixels, _ground, _facts) = pixels

      # Bands on the page → an image of bytes, of one band or three.
      def colours(_bands, _facts) = raise(NotImplementedError)

      # 255 where a pixel shows something, of bands on the page; nil for everywhere.
      def shown(_bands, _facts) = nil

      # LegendEntry list of all that it can show. facts: Raster::Facts, or nil where they are not known.
      def listed(_layer, _facts) = []

      # Those of them that are on a page. present: the whole numbers that are there, asked where the look has a use for
      # them.
      def entries(layer, facts, &present) = listed(layer, facts)

      private

      # An entry that is known by a name within its layer.
      def entry(layer, name, **more) = LegendEntry.new(key: "#{layer.id}/#{name}", layer: layer, **more)
    end
  end
end
