# frozen_string_literal: true

require "cgi"

module TileLoom
  module Output
    # Where on the ground the pixels of a picture lie: as numbers for GDAL's tools, as a world file, and as the file
    # beside it that names the reference.
    class PlacedPicture
      # view: the View::FrameView whose ground the picture shows; box: what of the page in mm it shows; ppi.
      def initialize(view, box, ppi)
        @view, @box, @ppi = view, box, ppi
      end

      # Six numbers: ground = [0] + column × [1] + row × [2], [3] + column × [4] + row × [5], of corners of pixels.
      def transform
        map = @view.inverse
        step = 25.4 / @ppi
        x, y = @view.to_ground([@box.min_x, @box.min_y])
        [x, map.a * step, map.c * step, y, map.b * step, map.d * step]
      end

      def turned? = !@view.ground.upright?

      def crs = @view.crs

      # Of the middle of the first pixel, as world files have it.
      def world_file
        x, a, c, y, b, d = transform
        [a, b, c, d, x + (a + c) / 2, y + (b + d) / 2].map { |number| format("%.12f\n", number) }.join
      end

      # nil where the reference cannot be written as WKT 1.
      def auxiliary
        wkt = crs.wkt or return nil
        numbers = transform.map { |number| format("%.16e", number) }.join(", ")
        <<~XML
          <PAMDataset>
            <SRS dataAxisToSRSAxisMapping="#{crs.geographic? ? "2,1" : "1,2"}">#{CGI.escapeHTML(wkt)}</SRS>
            <GeoTransform>#{numbers}</GeoTransform>
          </PAMDataset>
        XML
      end

      # A description of the pixels in a file, by which GDAL's tools know where they lie. file: its name.
      def description(file, width, height, bands)
        numbers = transform.map { |number| format("%.16e", number) }.join(", ")
        <<~XML
          <VRTDataset rasterXSize="#{width}" rasterYSize="#{height}">
            #{"<SRS dataAxisToSRSAxisMapping=\"1,2\">#{CGI.escapeHTML(crs.wkt)}</SRS>" if crs.wkt}
            <GeoTransform>#{numbers}</GeoTransform>
            #{(1..bands).map { |band| band(file, band, width, height) }.join}
          </VRTDataset>
        XML
      end

      private

      COLOURS = {1 => "Red", 2 => "Green", 3 => "Blue", 4 => "Alpha"}.freeze

      def band(file, number, width, height) = <<~XML
        <VRTRasterBand dataType="Byte" band="#{number}"><ColorInterp>#{COLOURS.fetch(number)}</ColorInterp>
        <SimpleSource><SourceFilename relativeToVRT="1">#{CGI.escapeHTML(file)}</SourceFilename><SourceBand>#{number}</SourceBand>
        <SrcRect xOff="0" yOff="0" xSize="#{width}" ySize="#{height}"/><DstRect xOff="0" yOff="0" xSize="#{width}" ySize="#{height}"/>
        </SimpleSource></VRTRasterBand>
      XML
    end
  end
end
