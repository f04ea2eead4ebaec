# frozen_string_literal: true

module TileLoom
  module Output
    module Pdf
      # The content stream of one page. One matrix turns micrometres from the top-left corner, y down,
      # into points, so that all numbers of paths are whole.
      class Content
        include Writing

        PER_MM = 1000
        POINTS_PER_MICRON = 72 / 25_400.0

        CAPS = {"butt" => 0, "round" => 1, "square" => 2}.freeze
        JOINS = {"miter" => 0, "round" => 1, "bevel" => 2}.freeze

        attr_reader :glyphs, :layers, :opacities, :forms, :images

        # glyphs: face key → {glyph id → the characters that it stands for}; layers: id → title; opacities: percentages
        # used; forms: content streams of the groups that are painted as one (transparency groups); images: SHA-256 of
        # the pictures used.
        def initialize(drawing)
          @drawing = drawing
          @glyphs = Hash.new { |hash, key| hash[key] = {} }
          @layers = {}
          @opacities = {}
          @forms = []
          @images = {}
        end

        def to_s
          @out = +"".b
          @opacity = 100
          outside = @drawing.outside_mm * 72 / 25.4
          @out << "q #{real(POINTS_PER_MICRON)} 0 0 #{real(-POINTS_PER_MICRON)} #{real(outside)} " \
            "#{real(@drawing.height_mm * 72 / 25.4 + outside)} cm\n"
          @drawing.nodes.each { |node| write(node) }
          if @drawing.trim_marks
            path(
              Scene::Path.new(
                runs: @drawing.trim_lines,
                closed: false,
                stroke: Scene::Stroke.new(colour: "#000000", width_mm: 0.1)
              )
            )
          end
          @out << "Q\n"
        end

        def self.real(value) = format("%.10f", value).sub(/\.?0+\z/, "").sub(/\A-0\z/, "0")

        private

        def number(mm) = (mm * PER_MM).round

        def real(value) = self.class.real(value)

        def group(node)
          if node.layer
            @layers[node.layer.id] = node.layer.title
            @out << "/OC /#{Names.layer(node.layer.id)} BDC\n"
          end
          clipped(node.clip) { (node.opacity < 1) ? as_one(node) : node.children.each { |child| write(child) } }
          @out << "EMC\n" if node.layer
        end

        # A form of its own, laid on the page at the group's opacity.
        def as_one(node)
          page, @out, @opacity = @out, +"".b, nil
          node.children.each { |child| write(child) }
          @forms << @out
          @out, @opacity = page, nil
          opacity(node.opacity)
          @out << "/#{Names.form(@forms.length)} Do\n"
        end

        def clipped(area)
          return yield unless area
          @out << "q "
          if area.is_a?(Scene::Outline)
            area.runs.each { |run| outline(run, true) }
            @out << "W* n\n"
          else
            @out << "#{number(area.min_x)} #{number(area.min_y)} #{number(area.max_x) - number(area.min_x)} " \
              "#{number(area.max_y) - number(area.min_y)} re W n\n"
          end
          yield
          @out << "Q\n"
          @opacity = nil
        end

        # One opacity holds for area and line of a path; where they differ, each is painted by itself.
        def path(node)
          if node.fill && node.stroke && node.fill.opacity != node.stroke.opacity
            path(Scene::Path.new(**node.to_h, stroke: nil))
            return path(Scene::Path.new(**node.to_h, fill: nil))
          end
          fill(node.fill) if node.fill
          stroke(node.stroke) if node.stroke
          node.runs.each { |run| outline(run, node.closed) }
          @out << if node.fill && node.stroke
            "B*\n"
          elsif node.fill
            "f*\n"
          else
            "S\n"
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
          @out << colour(stroke.colour) <<
            " RG #{number(stroke.width_mm)} w #{CAPS.fetch(stroke.cap)} J #{JOINS.fetch(stroke.join)} j [#{dash}] 0 d\n"
        end

        # An image fills the unit square of its own space, y up.
        def image(node)
          @images[node.raster.content] = true
          opacity(1.0)
          angle = node.rotation_deg * Math::PI / 180
          cos, sin = Math.cos(angle) * PER_MM, Math.sin(angle) * PER_MM
          width, height = node.width_mm, node.height_mm
          x, y = node.x * PER_MM - sin * height, node.y * PER_MM + cos * height
          matrix = [cos * width, sin * width, sin * height, -cos * height, x, y].map { |value| real(value) }.join(" ")
          @out << "q #{matrix} cm /#{Names.image(node.raster.content)} Do Q\n"
        end

        def text(node)
          runs = node.face.runs(node.string)
          matrix = text_matrix(node)
          if node.halo
            stroke(node.halo)
            show(node, matrix, runs, 1)
          end
          opacity(1.0)
          @out << colour(node.colour) << " rg\n"
          show(node, matrix, runs, 0)
        end

        # Runs follow one another where the one before them ended.
        def show(node, matrix, runs, mode)
          @out << "BT"
          runs.each_with_index do |run, index|
            @out << " /#{Names.font(run.face.key)} #{real(node.size_pt)} Tf"
            @out << " #{mode} Tr #{matrix} Tm" if index.zero?
            @out << " " <<
              marked(run, Glyphs.new(run, node).operators { |glyph, text| @glyphs[run.face.key][glyph] ||= text })
          end
          @out << " ET\n"
        end

        # Where the font's own map from glyphs to characters would say something else (ISO 32000-2, 14.9.4).
        def marked(run, operators)
          map = @glyphs[run.face.key]
          exact = run.glyphs.all? { |glyph| glyph.text == map[glyph.glyph] || glyph.text.empty? || alike?(glyph, map) }
          if exact
            operators
          else
            "/Span << /ActualText <#{("\uFEFF" + run.string).encode("UTF-16BE").unpack1("H*")}> >> BDC #{operators} EMC"
          end
        end

        # A space that does not break is read as a space, the ohm sign as an omega (Unicode's compatibility forms).
        def alike?(glyph, map) =
          !glyph.glyph.zero? && glyph.text.unicode_normalize(:nfkc) == map[glyph.glyph].unicode_normalize(:nfkc)

        # Text space is in points with y up; page space in micrometres with y down.
        def text_matrix(node)
          angle = node.rotation_deg * Math::PI / 180
          unit = 1 / POINTS_PER_MICRON
          cos = Math.cos(angle) * unit
          sin = Math.sin(angle) * unit
          "#{real(cos)} #{real(sin)} #{real(sin)} #{real(-cos)} #{number(node.x)} #{number(node.y)}"
        end
      end
    end
  end
end
