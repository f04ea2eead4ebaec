# frozen_string_literal: true

module TileLoom
  module Output
    module Pdf
      # The content stream of one page. One matrix turns micrometres from the top-left corner, y down,
      # into points, so that all numbers of paths are whole.
      class Content
        PER_MM = 1000
        POINTS_PER_MICRON = 72 / 25_400.0

        CAPS = {"butt" => 0, "round" => 1, "square" => 2}.freeze
        JOINS = {"miter" => 0, "round" => 1, "bevel" => 2}.freeze

        attr_reader :glyphs, :layers, :opacities

        # glyphs: face key → {glyph id → code point}; layers: id → title; opacities: percentages used.
        def initialize(drawing)
          @drawing = drawing
          @glyphs = Hash.new { |hash, key| hash[key] = {} }
          @layers = {}
          @opacities = {}
        end

        def to_s
          @out = +"".b
          @opacity = 100
          @out << "q #{real(POINTS_PER_MICRON)} 0 0 #{real(-POINTS_PER_MICRON)} 0 #{real(@drawing.height_mm * 72 / 25.4)} cm\n"
          @drawing.nodes.each { |node| write(node) }
          @out << "Q\n"
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

        def real(value) = format("%.10f", value).sub(/\.?0+\z/, "")

        def group(node)
          if node.layer
            @layers[node.layer.id] = node.layer.title
            @out << "/OC /#{Names.layer(node.layer.id)} BDC\n"
          end
          clipped(node.clip) { node.children.each { |child| write(child) } }
          @out << "EMC\n" if node.layer
        end

        def clipped(box)
          return yield unless box
          @out << "q #{number(box.min_x)} #{number(box.min_y)} #{number(box.max_x) - number(box.min_x)} #{number(box.max_y) - number(box.min_y)} re W n\n"
          yield
          @out << "Q\n"
          @opacity = nil
        end

        def path(node)
          fill(node.fill) if node.fill
          stroke(node.stroke) if node.stroke
          node.runs.each { |run| outline(run, node.closed) }
          @out << if node.fill && node.stroke then "B*\n"
          elsif node.fill then "f*\n"
          else "S\n"
          end
        end

        def outline(run, closed)
          out = @out
          out << (run[0] * PER_MM).round.to_s << " " << (run[1] * PER_MM).round.to_s << " m\n"
          index = 2
          size = run.length
          while index < size
            out << (run[index] * PER_MM).round.to_s << " " << (run[index + 1] * PER_MM).round.to_s << " l\n"
            index += 2
          end
          out << "h\n" if closed
        end

        def colour(hex) = hex.delete_prefix("#").scan(/../).map { |pair| real((pair.hex / 255.0).round(4)) }.join(" ")

        def opacity(value)
          percent = (value * 100).round
          return if percent == @opacity
          @opacity = percent
          @opacities[percent] = true
          @out << "/#{Names.opacity(percent)} gs\n"
        end

        def fill(fill)
          opacity(fill.opacity)
          @out << colour(fill.colour) << " rg\n"
        end

        def stroke(stroke)
          opacity(stroke.opacity)
          dash = (stroke.dash_mm || []).map { |mm| number(mm) }.join(" ")
          @out << colour(stroke.colour) << " RG #{number(stroke.width_mm)} w #{CAPS.fetch(stroke.cap)} J #{JOINS.fetch(stroke.join)} j [#{dash}] 0 d\n"
        end

        def text(node)
          codes = encode(node.face, node.string)
          matrix = text_matrix(node)
          if node.halo
            stroke(node.halo)
            show(node, matrix, codes, 1)
          end
          opacity(1.0)
          @out << colour(node.colour) << " rg\n"
          show(node, matrix, codes, 0)
        end

        def show(node, matrix, codes, mode)
          @out << "BT /#{Names.font(node.face.key)} #{real(node.size_pt)} Tf #{mode} Tr #{matrix} Tm <#{codes}> Tj ET\n"
        end

        # Text space is in points with y up; page space in micrometres with y down.
        def text_matrix(node)
          angle = node.rotation_deg * Math::PI / 180
          unit = 1 / POINTS_PER_MICRON
          cos = Math.cos(angle) * unit
          sin = Math.sin(angle) * unit
          "#{real(cos)} #{real(sin)} #{real(sin)} #{real(-cos)} #{number(node.x)} #{number(node.y)}"
        end

        def encode(face, string)
          used = @glyphs[face.key]
          string.each_codepoint.map do |codepoint|
            glyph = face.glyph(codepoint)
            used[glyph] ||= codepoint
            format("%04x", glyph)
          end.join
        end
      end
    end
  end
end
