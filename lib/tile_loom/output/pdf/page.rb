# frozen_string_literal: true

require "json"
require "stringio"
require "zlib"

module TileLoom
  module Output
    module Pdf
      # A finished page, ready to be put into a file: made anywhere, in any process, and passed on as
      # bytes (a JSON head and the compressed content stream).
      class Page
        attr_reader :head, :body

        # notices: sentences of what the sheet leaves out, for whoever binds the pages; sheet: its number (0: the index
        # sheet) and name: of the page, by which others lead to it; part: of the book that it belongs to, or nil; how:
        # see Content.
        def self.of(drawing, notices: [], sheet: nil, name: nil, part: nil, georeferenced: true, **how)
          content = Content.new(drawing, **how)
          streams = [content.to_s, *content.forms].map { |text| Deflate.of(text) }
          carried = content.carried.sort.to_h
          forms = content.forms.length
          streams.concat(carried.each_value.flat_map(&:data))
          new(
            {
              "width_pt" => drawing.width_mm * 72 / 25.4,
              "height_pt" => drawing.height_mm * 72 / 25.4,
              "outside_pt" => drawing.outside_mm * 72 / 25.4,
              "bleed_pt" => drawing.bleed_mm * 72 / 25.4,
              "title" => drawing.title,
              "sheet" => sheet,
              "name" => name,
              "part" => part,
              "layers" => content.layers,
              "images" => content.images,
              "forms" => forms.zero? ? nil : forms,
              "nested" => content.nested? || nil,
              "carried" => carried.empty? ? nil : carried.transform_values(&:head),
              "states" => content.states.keys.sort_by { |percent, over, blend| [percent, over ? 1 : 0, blend] },
              "spots" => content.spots.keys.sort,
              "shadings" => content.shadings.empty? ? nil : content.shadings.sort.to_h,
              "links" => content.links,
              "tags" => content.tags,
              "things" => content.things,
              "notices" => notices,
              "streams" => streams.map(&:bytesize),
              "glyphs" => content.glyphs.transform_values(&:to_a),
              "viewports" => georeferenced ? drawing.viewports.map { |viewport| measure(viewport, drawing) } : []
            }.compact,
            streams.join
          )
        end

        # The box in points, y up, and the corners in degrees.
        def self.measure(viewport, drawing)
          frame = viewport.frame
          box =
            [frame.min_x, drawing.height_mm - frame.max_y, frame.max_x, drawing.height_mm - frame.min_y].map do |mm|
              (mm + drawing.outside_mm) * 72 / 25.4
            end
          {
            "box_pt" => box,
            "corners_lat_lon" => viewport.corners_lat_lon,
            **reference(viewport.crs),
            "name" => viewport.name
          }
        end

        # A projection that has neither a number nor a text of WKT 1 leaves readers the degrees of its corners.
        def self.reference(crs)
          return {"wkt" => crs.wkt, "epsg" => crs.epsg} if crs.wkt || crs.epsg
          {"wkt" => crs.geographic.wkt, "epsg" => crs.geographic.epsg, "geographic" => true}
        end

        # The next page that `dump` wrote into a stream, or nil at its end.
        def self.read(io)
          length = io.read(4) or return nil
          head = JSON.parse(io.read(length.unpack1("V")))
          new(head, io.read(io.read(4).unpack1("V")))
        end

        # Each page that `dump` wrote into a text of bytes.
        def self.each(bytes)
          io = StringIO.new(bytes.to_s)
          while (page = read(io))
            yield page
          end
        end

        def initialize(head, body)
          @head, @body = head, body
        end

        def notices = head.fetch("notices", [])

        # The content streams of its forms.
        def forms = streams[1, head.fetch("forms", 0)]

        # {name → Carried} of the pixels that it alone has.
        def carried
          rest = streams.drop(1 + head.fetch("forms", 0))
          head.fetch("carried", {}).transform_values { |own| Carried.new(own, rest.shift(own["masked"] ? 2 : 1)) }
        end

        # The compressed content of the page, those of its forms, then the data of the pixels that it carries.
        def streams
          at = 0
          head["streams"].map { |length| body.byteslice(at, length).tap { at += length } }
        end

        def dump
          text = JSON.generate(head).b
          [text.bytesize].pack("V") << text << [body.bytesize].pack("V") << body
        end
      end
    end
  end
end
