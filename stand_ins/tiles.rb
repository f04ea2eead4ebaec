# frozen_string_literal: true

require "json"
require "tile_loom"
require "vips"

module StandIns
  # A tile server: a pyramid in Web Mercator over the demo's own land cover and relief, and its capabilities. It can be
  # told to be slow, to fail, or to have gaps.
  class Tiles
    SIDE_PX = 256
    MOST_ZOOM = 17
    DEMO = File.join(TileLoom::ROOT, "demo")

    # Told from outside: seconds that each tile takes; status that is answered in place of tiles, so many times (nil:
    # for good); tiles whose column is a multiple of this are not there.
    attr_accessor :slow_s, :failing, :failing_times, :gaps

    # asked: of all tiles, addresses in order; at_once: how many were asked for at the same time at most.
    attr_reader :asked, :at_once

    def initialize
      @lock, @made = Mutex.new, {}
      @asked, @at_once, @now = [], 0, 0
    end

    # For Rack.
    def call(env)
      path = env["PATH_INFO"]
      return capabilities(env) if path == "/capabilities.xml"
      zoom, column, row = path.match(%r{\A/(\d+)/(\d+)/(\d+)\.png\z})&.captures&.map(&:to_i)
      return plain(404) unless zoom && zoom <= MOST_ZOOM && [column, row].all? { |place| place < 2**zoom }
      counted(path) { tile(zoom, column, row, env) }
    end

    private

    def plain(status, **more) =
      [
        status,
        {"content-type" => "text/plain", **more.transform_keys { |key| key.to_s.tr("_", "-") }},
        ["#{status}\n"]
      ]

    def counted(path)
      @lock.synchronize do
        @asked << path
        @now += 1
        @at_once = [@at_once, @now].max
      end
      sleep slow_s if slow_s
      yield
    ensure
      @lock.synchronize { @now -= 1 }
    end

    def tile(zoom, column, row, env)
      return plain(failing, retry_after: "1") if fails?
      return plain(404) if gaps && (column % gaps).zero?
      bytes = @lock.synchronize { @made[[zoom, column, row]] ||= drawn(zoom, column, row) }
      etag = %("#{bytes.hash.abs.to_s(36)}")
      headers = {"content-type" => "image/png", "cache-control" => "max-age=3600", "etag" => etag}
      (env["HTTP_IF_NONE_MATCH"] == etag) ? [304, headers, []] : [200, headers, [bytes]]
    end

    def fails?
      return false unless failing
      return true unless failing_times
      @lock.synchronize { (self.failing_times -= 1) >= 0 }
    end

    def drawn(zoom, column, row)
      units = 2 * TileLoom::Raster::Tiles::Source::HALF / 2**zoom
      x = -TileLoom::Raster::Tiles::Source::HALF + column * units
      y = TileLoom::Raster::Tiles::Source::HALF - row * units
      side = SIDE_PX * 25.4 / 96
      view =
        TileLoom::View::FrameView.new(
          frame: TileLoom::Geometry::Box.at(0.0, 0.0, side, side),
          ground: TileLoom::Geometry::TurnedRectangle.of(TileLoom::Geometry::Box.new(x, y - units, x + units, y)),
          crs: TileLoom::Crs::System.find("EPSG:3857")
        )
      flat = Vips::Image.black(SIDE_PX, SIDE_PX, bands: 3) + [236, 232, 220]
      layers.reduce(flat.cast(:uchar)) { |below, layer| laid(below, layer, view) }.pngsave_buffer
    end

    # A layer laid on those below it.
    def laid(below, layer, view)
      raster, value = layer
      image = TileLoom::View::RasterDrawing.new(layer: value, raster: raster, view: view, ppi: 96).group.children.first
      return below unless image
      pixels = image.raster.image
      side = SIDE_PX * 25.4 / 96
      left, top = [image.x, image.y].map { |mm| (mm / side * SIDE_PX).round }
      wide, high = [image.width_mm, image.height_mm].map { |mm| [(mm / side * SIDE_PX).round, 1].max }
      pixels = pixels.resize(wide / pixels.width.to_f, vscale: high / pixels.height.to_f, kernel: :nearest)
      shown = (pixels.bands.even? ? pixels[pixels.bands - 1] : pixels[0] * 0 + 255).cast(:uchar)
      colours = (pixels.bands < 3) ? pixels[0].bandjoin([pixels[0], pixels[0]]) : pixels.extract_band(0, n: 3)
      placed = colours.embed(left, top, SIDE_PX, SIDE_PX)
      mask = shown.embed(left, top, SIDE_PX, SIDE_PX)
      over =
        if value.blend == "multiply"
          (below * placed / 255.0).cast(:uchar)
        else
          (below * 0.45 + placed * 0.55).cast(:uchar)
        end
      mask.ifthenelse(over, below)
    end

    # [raster, layer] of the demo, the lowest first.
    def layers
      @layers ||=
        JSON.parse(File.read(File.join(DEMO, "skarrow-moss.json")))["layers"]
          .select { |entry| %w[land-cover shading].include?(entry["id"]) }
          .map do |entry|
            file = File.join(DEMO, entry["data"]["file"])
            [TileLoom::Raster::Cache.new.fetch([file]), TileLoom::Symbology::Layer.new(entry)]
          end
    end

    def capabilities(env)
      base = "http://#{env["HTTP_HOST"]}"
      half = TileLoom::Raster::Tiles::Source::HALF
      matrices =
        (0..MOST_ZOOM).map do |zoom|
          denominator = 2 * half / (SIDE_PX * 2**zoom) / TileLoom::Raster::Tiles::Capabilities::PIXEL_M
          "<TileMatrix><ows:Identifier>#{zoom}</ows:Identifier><ScaleDenominator>#{denominator}</ScaleDenominator><TopLeftCorner>#{-half} " \
          "#{half}</TopLeftCorner><TileWidth>#{SIDE_PX}</TileWidth><TileHeight>#{SIDE_PX}</TileHeight><MatrixWidth>#{2**zoom}</MatrixWidth><MatrixHeight>#{2**zoom}</MatrixHeight></TileMatrix>"
        end
      text = <<~XML
        <?xml version="1.0"?>
        <Capabilities xmlns="http://www.opengis.net/wmts/1.0" xmlns:ows="http://www.opengis.net/ows/1.1" version="1.0.0">
        <ows:ServiceIdentification><ows:AccessConstraints>Skarrow Moss, an invented place</ows:AccessConstraints></ows:ServiceIdentification>
        <Contents><Layer><ows:Title>Moor in colours</ows:Title><ows:Identifier>moor</ows:Identifier>
        <Style isDefault="true"><ows:Identifier>plain</ows:Identifier></Style><Format>image/png</Format>
        <TileMatrixSetLink><TileMatrixSet>mercator</TileMatrixSet></TileMatrixSetLink>
        <ResourceURL format="image/png" resourceType="tile" template="#{base}/{TileMatrix}/{TileCol}/{TileRow}.png"/></Layer>
        <TileMatrixSet><ows:Identifier>mercator</ows:Identifier><ows:SupportedCRS>urn:ogc:def:crs:EPSG::3857</ows:SupportedCRS>
        #{matrices.join}</TileMatrixSet></Contents></Capabilities>
      XML
      [200, {"content-type" => "application/xml"}, [text]]
    end
  end
end
