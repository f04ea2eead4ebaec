# frozen_string_literal: true

require "cgi"

module TileLoom
  module Output
    # Writes a scene as SVG 1.1. The user unit is a hundredth of a millimetre, so that all numbers of
    # paths are whole; width and height say millimetres.
    class Svg
      PER_MM = 100.0

      # drawing: Scene::Drawing; size: false leaves out width and height, for pictures that fill their box.
      def initialize(drawing, size: true)
        @drawing, @size = drawing, size
        @clips = 0
      end

      def to_s
        @out = +""
        width, height = number(@drawing.width_mm), number(@drawing.height_mm)
        @out << %(<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 #{width} #{height}")
        @out << %( width="#{plain(@drawing.width_mm)}mm" height="#{plain(@drawing.height_mm)}mm") if @size
        @out << %( fill="none" style="font-kerning:none;font-variant-ligatures:none">)
        @drawing.nodes.each { |node| write(node) }
        @out << "</svg>"
      end

      private

      def write(node)
        case node
        when Scene::Path then path(node)
        when Scene::Text then text(node)
        when Scene::Group then group(node)
        end
      end

      def number(mm) = (mm * PER_MM).round

      def plain(value) = Units::Number.plain(value, decimals: 3)

      def escape(string) = CGI.escapeHTML(string)

      def group(node)
        @out << "<g"
        @out << %( data-part="#{escape(node.name)}") if node.name
        if node.clip
          id = "clip#{@clips += 1}"
          box = node.clip
          @out << %( clip-path="url(##{id})"><clipPath id="#{id}"><rect x="#{number(box.min_x)}" y="#{number(box.min_y)}" width="#{number(box.width)}" height="#{number(box.height)}"/></clipPath>)
        else
          @out << ">"
        end
        node.children.each { |child| write(child) }
        @out << "</g>"
      end

      def path(node)
        @out << %(<path d=")
        node.runs.each { |run| outline(run, node.closed) }
        @out << '"'
        @out << paint(node.fill) if node.fill
        @out << stroke(node.stroke) if node.stroke
        @out << "/>"
      end

      # Relative moves from rounded absolute places: short, and no rounding adds up.
      def outline(run, closed)
        out = @out
        px = (run[0] * PER_MM).round
        py = (run[1] * PER_MM).round
        out << "M" << px.to_s << " " << py.to_s << "l"
        index = 2
        size = run.length
        while index < size
          x = (run[index] * PER_MM).round
          y = (run[index + 1] * PER_MM).round
          out << (x - px).to_s << " " << (y - py).to_s << " "
          px = x
          py = y
          index += 2
        end
        out << "z" if closed
      end

      def paint(fill)
        %( fill="#{escape(fill.colour)}" fill-rule="evenodd"#{%( fill-opacity="#{plain(fill.opacity)}") if fill.opacity < 1})
      end

      def stroke(stroke)
        result = %( stroke="#{escape(stroke.colour)}" stroke-width="#{plain(stroke.width_mm * PER_MM)}" stroke-linejoin="#{stroke.join}")
        result << %( stroke-linecap="#{stroke.cap}") unless stroke.cap == "butt"
        result << %( stroke-dasharray="#{stroke.dash_mm.map { |mm| plain(mm * PER_MM) }.join(" ")}") if stroke.dash_mm&.any?
        result << %( stroke-opacity="#{plain(stroke.opacity)}") if stroke.opacity < 1
        result
      end

      def text(node)
        face = node.face
        size = node.size_pt * Type::Face::MM_PER_PT * PER_MM
        @out << %(<text x="#{number(node.x)}" y="#{number(node.y)}" font-family="#{face.family}" font-size="#{plain(size)}" font-weight="#{face.weight}" font-style="#{face.style}" fill="#{escape(node.colour)}" xml:space="preserve")
        @out << %( transform="rotate(#{plain(node.rotation_deg)} #{number(node.x)} #{number(node.y)})") unless node.rotation_deg.zero?
        @out << %( paint-order="stroke"#{stroke(node.halo)}) if node.halo
        @out << ">#{escape(node.string)}</text>"
      end
    end
  end
end
