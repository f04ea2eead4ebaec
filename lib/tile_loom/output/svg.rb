# frozen_string_literal: true

require "cgi"
require "zlib"

module TileLoom
  module Output
    # Writes a scene as SVG 1.1. The user unit is a hundredth of a millimetre, so that all numbers of
    # paths are whole; width and height say millimetres.
    class Svg
      include Writing

      PER_MM = 100.0
      # Of a group of which more is to come in a moment.
      INCOMPLETE = ' data-incomplete="1"'
      STYLE = "font-kerning:normal;font-variant-ligatures:none;text-rendering:geometricPrecision"

      # drawing: Scene::Drawing; size: false leaves out width and height, for pictures that fill their box;
      # pictures: gives the address of a Raster, where its pixels are not to be in the text itself; outlined: are texts
      # drawn as outlines? (Some browsers set none below a least size.)
      def initialize(drawing, size: true, pictures: ->(raster) { self.class.inline(raster) }, outlined: false)
        @drawing, @size, @pictures, @outlined = drawing, size, pictures, outlined
        @out = +""
      end

      # A data address (RFC 2397).
      def self.inline(raster) = "data:#{raster.media};base64,#{[raster.bytes].pack("m0")}"

      def to_s = page(@drawing.nodes.map { |node| written(node) })

      # What a node is in the page, which is the same in any other page.
      def written(node) = apart { write(node) }

      # The page with these written nodes on it.
      def page(nodes)
        @out = +""
        width, height = number(@drawing.width_mm), number(@drawing.height_mm)
        @out << %(<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 #{width} #{height}")
        @out << %( width="#{plain(@drawing.width_mm)}mm" height="#{plain(@drawing.height_mm)}mm") if @size
        @out << %( fill="none" style="#{STYLE}">)
        nodes.each { |node| @out << node }
        @out << "</svg>"
      end

      private

      def number(mm) = (mm * PER_MM).round

      def plain(value) = Units::Number.plain(value, decimals: 3)

      def escape(string) = CGI.escapeHTML(string)

      def group(node)
        @out << "<g"
        @out << %( data-part="#{escape(node.name)}") if node.name
        @out << INCOMPLETE if node.incomplete
        @out << %( opacity="#{plain(node.opacity)}") if node.opacity < 1
        style = {"mix-blend-mode" => node.blend}.reject { |_, blend| blend == "normal" }
        style["isolation"] = "isolate" if style.empty? && node.as_one? && node.opacity == 1
        @out << %( style="#{style.map { |name, value| "#{name}:#{value}" }.join(";")}") unless style.empty?
        node.clip ? clip(node.clip) : @out << ">"
        node.children.each { |child| write(child) }
        @out << "</g>"
      end

      # Clips are named by what they are, so that several drawings can stand in one page.
      def clip(area)
        inside =
          if area.is_a?(Scene::Outline)
            outline_of(area)
          else
            %(<rect x="#{number(area.min_x)}" y="#{number(area.min_y)}" width="#{number(area.width)}" height="#{number(area.height)}"/>)
          end
        id = "clip#{Zlib.crc32(inside).to_s(36)}"
        @out << %( clip-path="url(##{id})"><clipPath id="#{id}">#{inside}</clipPath>)
      end

      def outline_of(area) =
        apart do
          @out << %(<path clip-rule="evenodd" d=")
          area.runs.each { |run| outline(run, true) }
          @out << '"/>'
        end

      def path(node)
        paint = node.fill && paint(node.fill)
        @out << %(<path d=") << outlines_of(node) << '"'
        @out << paint if paint
        @out << stroke(node.stroke) if node.stroke
        @out << "/>"
      end

      # Relative moves from rounded absolute places: short, and no rounding adds up.
      def outline(run, closed)
        px = (run[0] * PER_MM).round
        py = (run[1] * PER_MM).round
        @out << "M" << px.to_s << " " << py.to_s << "l"
        moves = []
        index = 2
        size = run.length
        while index < size
          x = (run[index] * PER_MM).round
          y = (run[index + 1] * PER_MM).round
          moves << x - px << y - py
          px = x
          py = y
          index += 2
        end
        @out << Pairs.written(moves, " ")
        @out << "z" if closed
      end

      def image(node)
        @out << %(<image x="#{number(node.x)}" y="#{number(node.y)}")
        @out << %( width="#{number(node.width_mm)}" height="#{number(node.height_mm)}")
        @out << %( preserveAspectRatio="none" href="#{escape(@pictures.call(node.raster))}")
        @out << turn(node) << "/>"
      end

      # Clockwise about the node's own place.
      def turn(node) =
        if node.rotation_deg.zero?
          ""
        else
          %( transform="rotate(#{plain(node.rotation_deg)} #{number(node.x)} #{number(node.y)})")
        end

      # Gradients are named by what they are, as clips are.
      def gradient(gradient)
        stops =
          gradient.stops.map do |share, colour, opacity|
            %(<stop offset="#{plain(share)}" stop-color="#{escape(colour)}"#{%( stop-opacity="#{plain(opacity)}") if opacity < 1}/>)
          end
        places = (gradient.kind == :radial) ? circle(gradient) : axis(gradient)
        inside = %(gradientUnits="userSpaceOnUse" #{places}>#{stops.join})
        id = "tint#{Zlib.crc32(inside).to_s(36)}"
        @out << %(<#{gradient.kind}Gradient id="#{id}" #{inside}</#{gradient.kind}Gradient>)
        %( fill="url(##{id})" fill-rule="evenodd")
      end

      def axis(gradient)
        x1, y1, x2, y2 = [*gradient.from, *gradient.to].map { |mm| plain(mm * PER_MM) }
        %(x1="#{x1}" y1="#{y1}" x2="#{x2}" y2="#{y2}")
      end

      def circle(gradient)
        x, y, radius = [*gradient.from, gradient.radius_mm].map { |mm| plain(mm * PER_MM) }
        %(cx="#{x}" cy="#{y}" r="#{radius}")
      end

      def paint(fill)
        return gradient(fill.gradient) if fill.gradient
        %( fill="#{escape(fill.colour)}" fill-rule="evenodd"#{%( fill-opacity="#{plain(fill.opacity)}") if fill.opacity < 1})
      end

      def stroke(stroke)
        result =
          %( stroke="#{escape(stroke.colour)}" stroke-width="#{plain(stroke.width_mm * PER_MM)}" stroke-linejoin="#{stroke.join}")
        result << %( stroke-linecap="#{stroke.cap}") unless stroke.cap == "butt"
        if stroke.dash_mm&.any?
          result << %( stroke-dasharray="#{stroke.dash_mm.map { |mm| plain(mm * PER_MM) }.join(" ")}")
        end
        result << %( stroke-opacity="#{plain(stroke.opacity)}") if stroke.opacity < 1
        result
      end

      # A text that is one run from left to right is the browser's own to set; of others each run stands where it was
      # shaped to, in its own direction, so that both agree.
      def text(node)
        runs = node.face.runs(node.string)
        return text_outlines(node) if @outlined || runs.any? { |run| drawn?(run) }
        return piece(node, runs.first&.face || node.face, node.string, node.x) if runs.length < 2 && !runs.first&.rtl
        x = node.x
        runs.each do |run|
          width =
            run.width_mm(node.size_pt, tracking_pt: node.tracking_pt) +
            run.string.count(" ") * node.word_pt * Type::Face::MM_PER_PT
          piece(node, run.face, run.string, run.rtl ? x + width : x, run.rtl ? "rtl" : "ltr")
          x += width
        end
      end

      # Of a face that a browser cannot have, or with a character that no face has.
      def drawn?(run) = !run.face.sent? || run.glyphs.any? { |glyph| glyph.glyph.zero? }

      # A text with characters that no face has is drawn as it prints: a browser would look for them elsewhere.
      def text_outlines(node)
        paths = outlines(node)
        return if paths.empty?
        @out << %(<path d="#{paths}" role="img" aria-label="#{escape(node.string)}" fill="#{escape(node.colour)}")
        @out << turn(node)
        @out << %( paint-order="stroke"#{stroke(node.halo)}) if node.halo
        @out << "/>"
      end

      # Of all glyphs of a line, where they stand before it is turned.
      def outlines(node)
        x = node.x
        node.face.runs(node.string).map { |run| run_outline(run, x, node.y, node).tap { |_, ends| x = ends }[0] }.join
      end

      # [path, where it ends] of a run that starts at a place.
      def run_outline(run, x, y, node)
        per_unit = node.size_pt * Type::Face::MM_PER_PT / run.face.units_per_em
        path =
          run.glyphs.map do |glyph|
            outline_of_glyph(run.face, glyph, x, y, per_unit).tap do
              x += glyph.advance * per_unit + spaced(glyph, node)
            end
          end
        [path.join, x]
      end

      # mm added after a glyph; marks take none.
      def spaced(glyph, node)
        return 0.0 unless glyph.advance.positive?
        (node.tracking_pt + ((glyph.text == " ") ? node.word_pt : 0.0)) * Type::Face::MM_PER_PT
      end

      # Letters that are characters of a plain script are the browser's to set, each at its place; others, which shaping
      # has changed, are drawn as outlines.
      def curved_text(node)
        face = node.letters.first.face
        return curved_outlines(node) if @outlined || !plain_letters?(node, face)
        start = %(<text x="#{node.letters.map { |letter| number(letter.x) }.join(" ")}")
        start << %( y="#{node.letters.map { |letter| number(letter.y) }.join(" ")}")
        start << %( rotate="#{node.letters.map { |letter| plain(letter.rotation_deg) }.join(" ")}")
        start << type(face, node)
        # The rim of a letter would cover the one before it.
        if node.halo
          @out << start << %( fill="none"#{stroke(node.halo)} aria-hidden="true">#{escape(node.string)}</text>)
        end
        @out << start << %( fill="#{escape(node.colour)}">#{escape(node.string)}</text>)
      end

      def plain_letters?(node, face) =
        node.string.match?(Type::Itemizer::PLAIN) && face.sent? &&
          node.letters.all? { |letter| letter.face.equal?(face) && letter.text.length == 1 } &&
          node.letters.length == node.string.length

      def curved_outlines(node)
        drawn =
          node.letters.map do |letter|
            path, = run_outline(letter.run, letter.x, letter.y, node)
            path.empty? ? "" : %(<path d="#{path}"#{turn(letter)}/>)
          end
        label = %(<g role="img" aria-label="#{escape(node.string)}")
        @out << label.sub("aria-label", "data-text") << "#{stroke(node.halo)}>#{drawn.join}</g>" if node.halo
        @out << label << %( fill="#{escape(node.colour)}">#{drawn.join}</g>)
      end

      LETTERS = {move: "M", line: "L", quadratic: "Q", cubic: "C", close: "Z"}.freeze

      def outline_of_glyph(face, glyph, x, y, per_unit)
        face
          .outline(glyph.glyph)
          .map do |kind, places|
            numbers =
              places
                .each_slice(2)
                .flat_map { |u, v| [x + (u + glyph.x_offset) * per_unit, y - (v + glyph.y_offset) * per_unit] }
            LETTERS.fetch(kind) + numbers.map { |mm| @outlined ? number(mm) : plain(mm * PER_MM) }.join(" ")
          end
          .join
      end

      # The attributes of a typeface.
      def type(face, node) =
        %( font-family="#{escape(face.css_family)}") +
          %( font-size="#{plain(node.size_pt * Type::Face::MM_PER_PT * PER_MM)}") +
          %( font-weight="#{face.weight}" font-style="#{face.style}" xml:space="preserve")

      def piece(node, face, string, x, direction = nil)
        @out << %(<text x="#{number(x)}" y="#{number(node.y)}"#{type(face, node)} fill="#{escape(node.colour)}")
        @out << %( direction="#{direction}" unicode-bidi="bidi-override") if direction
        unless node.tracking_pt.zero?
          @out << %( letter-spacing="#{plain(node.tracking_pt * Type::Face::MM_PER_PT * PER_MM)}")
        end
        @out << %( word-spacing="#{plain(node.word_pt * Type::Face::MM_PER_PT * PER_MM)}") unless node.word_pt.zero?
        @out << turn(node)
        @out << %( paint-order="stroke"#{stroke(node.halo)}) if node.halo
        @out << ">#{escape(string)}</text>"
      end
    end
  end
end
