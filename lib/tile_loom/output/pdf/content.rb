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

        attr_reader :glyphs, :layers, :states, :forms, :images, :links, :tags, :things, :spots, :carried, :shadings

        # glyphs: face key → {glyph id → the characters that it stands for}; layers: id → title; states: the graphics
        # states used, [percentage of opacity, overprint?, blend]; forms: content streams of the groups that are painted
        # as one (transparency groups); images: Names key → [SHA-256, width in px or nil]; carried: Names key → Carried
        # of pixels that this page alone has; links: [[ring in points], target
        # …]; tags and things: see Marks; spots: names of the inks of their own;
        # shadings: Names key → what a Shading is written from.
        #
        # inks: Inks; tagged: with the marks of a structure; ppi: pixels of pictures above which they are reduced.
        def initialize(drawing, inks: Inks.new, tagged: false, switchable: true, ppi: nil)
          @drawing, @inks, @tagged, @switchable, @ppi = drawing, inks, tagged, switchable, ppi
          @glyphs = Hash.new { |hash, key| hash[key] = {} }
          @layers = {}
          @states = {}
          @forms = []
          @images = {}
          @carried = {}
          @shadings = {}
          @links = []
          @tags = []
          @things = []
          @spots = {}
          @marks = 0
          @depth = 0
          @nested = false
          @around = []
        end

        def to_s
          @out = +"".b
          @opacity, @over, @blend = 100, false, "normal"
          outside = @drawing.outside_mm * 72 / 25.4
          @out << "q #{real(POINTS_PER_MICRON)} 0 0 #{real(-POINTS_PER_MICRON)} #{real(outside)} " \
            "#{real(@drawing.height_mm * 72 / 25.4 + outside)} cm\n"
          @drawing.nodes.each { |node| marked_part(node) }
          trim_marks if @drawing.trim_marks
          things_marked
          @out << "Q\n"
        end

        # Does a form paint another?
        def nested? = @nested

        def self.real(value) = format("%.10f", value).sub(/\.?0+\z/, "").sub(/\A-0\z/, "0")

        private

        def number(mm) = (mm * PER_MM).round

        def real(value) = self.class.real(value)

        # What of the page a structure has a place for, and what it passes over (ISO 32000-2, 14.8.2.2).
        def marked_part(node)
          return write(node) unless @tagged
          tag = node.is_a?(Scene::Group) ? node.tag&.call : nil
          return artifact { write(node) } if tag.nil? || node.children.empty?
          @out << "/#{(tag.role == :text) ? "P" : "Figure"} << /MCID #{@marks} >> BDC\n"
          write(node)
          @out << "EMC\n"
          @tags << {
            "mark" => @marks,
            "role" => tag.role.to_s,
            "words" => tag.words,
            "size_pt" => tag.size_pt,
            "place" => tag.place
          }.compact
          @marks += 1
        end

        def artifact
          @out << "/Artifact BMC\n"
          yield
          @out << "EMC\n"
        end

        def trim_marks
          marks = Scene::Stroke.new(colour: "#000000", width_mm: 0.1)
          draw = -> { path(Scene::Path.new(runs: @drawing.trim_lines, closed: false, stroke: marks)) }
          @tagged ? artifact(&draw) : draw.call
        end

        def group(node)
          switched = node.layer && @switchable
          if switched
            @layers[node.layer.id] = node.layer.title
            @out << "/OC /#{Names.layer(node.layer.id)} BDC\n"
          end
          @around.push(node)
          clipped(node.clip) { node.as_one? ? as_one(node) : node.children.each { |child| write(child) } }
          @around.pop
          @out << "EMC\n" if switched
        end

        def link(node)
          clips = @around.filter_map(&:clip)
          return if clips.any? && !reaches?(node, clips)
          @links << {
            "ring" => node.ring.each_slice(2).flat_map { |x, y| point(x, y) },
            "sheet" => node.sheet,
            "address" => node.address,
            "words" => node.words
          }.compact
        end

        # Does its middle lie in all that it is cut by?
        def reaches?(node, clips)
          x, y = Geometry::Box.around(node.ring).centre
          clips.all? do |clip|
            !clip.is_a?(Geometry::Box) || (x.between?(clip.min_x, clip.max_x) && y.between?(clip.min_y, clip.max_y))
          end
        end

        # Page millimetres → points of the medium.
        def point(x, y)
          outside = @drawing.outside_mm
          [(x + outside) * 72 / 25.4, (@drawing.height_mm - y + outside) * 72 / 25.4].map { |value| value.round(3) }
        end

        def thing(node) = @things << [node, @around.filter_map(&:clip), @around.filter_map(&:layer).last]

        # Features that carry their attributes lie over the page, unseen, each with a mark of its own.
        def things_marked
          @things =
            @things.map do |node, clips, layer|
              @out << "/OC /#{Names.layer(layer.id)} BDC\n" if layer && @switchable
              @out << "/Span << /MCID #{@marks} >> BDC\nq\n"
              clips.each { |clip| clip_to(clip) }
              @opacity = nil
              opacity(0)
              unseen(node)
              @out << "Q\nEMC\n"
              @opacity = nil
              @out << "EMC\n" if layer && @switchable
              @marks += 1
              {"mark" => @marks - 1, "title" => node.title, "layer" => layer&.title, "properties" => node.properties}
            end
        end

        UNSEEN_MM = 1.0

        def unseen(node)
          if node.shape == :point
            half = UNSEEN_MM / 2
            node
              .runs
              .flatten
              .each_slice(2) do |x, y|
                @out << "#{number(x - half)} #{number(y - half)} #{number(UNSEEN_MM)} #{number(UNSEEN_MM)} re\n"
              end
            return @out << "f\n"
          end
          @out << "#{number(UNSEEN_MM)} w\n" if node.shape == :line
          node.runs.each { |run| outline(run, node.shape == :area) }
          @out << ((node.shape == :area) ? "f*\n" : "S\n")
        end

        # A form of its own, laid on the page at the group's opacity.
        def as_one(node)
          page, @out, @opacity, @over = @out, +"".b, nil, nil
          @depth += 1
          node.children.each { |child| write(child) }
          @depth -= 1
          @nested = true if @depth.positive?
          @forms << @out
          @out, @opacity, @over = page, nil, nil
          opacity(node.opacity, blend: node.blend)
          @out << "/#{Names.form(@forms.length)} Do\n"
        end

        def clipped(area)
          return yield unless area
          @out << "q "
          clip_to(area)
          yield
          @out << "Q\n"
          @opacity = @over = nil
        end

        def clip_to(area)
          if area.is_a?(Scene::Outline)
            area.runs.each { |run| outline(run, true) }
            @out << "W* n\n"
          else
            @out << "#{number(area.min_x)} #{number(area.min_y)} #{number(area.max_x) - number(area.min_x)} " \
              "#{number(area.max_y) - number(area.min_y)} re W n\n"
          end
        end

        # One opacity holds for area and line of a path; where they differ, each is painted by itself.
        def path(node)
          if node.fill&.gradient
            shaded(node)
            return node.stroke ? path(node.with(fill: nil)) : nil
          end
          if node.fill && node.stroke && node.fill.opacity != node.stroke.opacity
            path(Scene::Path.new(**node.to_h, stroke: nil))
            return path(Scene::Path.new(**node.to_h, fill: nil))
          end
          fill(node.fill) if node.fill
          stroke(node.stroke) if node.stroke
          @out << outlines_of(node)
          @out << if node.fill && node.stroke
            "B*\n"
          elsif node.fill
            "f*\n"
          else
            "S\n"
          end
        end

        # A gradient fills what the path clips it to.
        def shaded(node)
          head = Shading.head(node.fill.gradient, inks: @inks, per_mm: PER_MM)
          key = Names.shading(head)
          @shadings[key] = head
          opacity(1.0)
          @out << "q\n"
          node.runs.each { |run| outline(run, true) }
          @out << "W* n\n"
          @out << "/#{Names.mask(key)} gs\n" if head["opacities"]
          @out << "/#{key} sh Q\n"
        end

        def outline(run, closed)
          numbers = run.map { |mm| (mm * PER_MM).round }
          @out << Pairs.written(numbers.shift(2), " m\n") << Pairs.written(numbers, " l\n")
          @out << "h\n" if closed
        end

        # Sets the opacity and whether it is printed over what lies below, where they are not so already.
        def opacity(value, over: false, blend: "normal")
          percent = (value * 100).round
          return if percent == @opacity && over == @over && blend == @blend
          @opacity, @over, @blend = percent, over, blend
          @states[[percent, over, blend]] = true
          @out << "/#{Names.state(percent, over, blend)} gs\n"
        end

        def colour(hex, stroke: false)
          spot = @inks.spot(hex)
          @spots[spot.name] = true if spot
          @out << @inks.operators(hex, stroke: stroke) << "\n"
        end

        def fill(fill)
          opacity(fill.opacity, over: @inks.overprint?(fill.colour))
          colour(fill.colour)
        end

        def stroke(stroke)
          opacity(stroke.opacity, over: @inks.overprint?(stroke.colour))
          colour(stroke.colour, stroke: true)
          dash = (stroke.dash_mm || []).map { |mm| number(mm) }.join(" ")
          @out << "#{number(stroke.width_mm)} w #{CAPS.fetch(stroke.cap)} J #{JOINS.fetch(stroke.join)} j [#{dash}] " \
            "0 d\n"
        end

        # An image fills the unit square of its own space, y up.
        def image(node)
          key = image_key(node)
          opacity(1.0)
          angle = node.rotation_deg * Math::PI / 180
          cos, sin = Math.cos(angle) * PER_MM, Math.sin(angle) * PER_MM
          width, height = node.width_mm, node.height_mm
          x, y = node.x * PER_MM - sin * height, node.y * PER_MM + cos * height
          matrix = [cos * width, sin * width, sin * height, -cos * height, x, y].map { |value| real(value) }.join(" ")
          @out << "q #{matrix} cm /#{key} Do Q\n"
        end

        # A picture of more pixels than the resolution has a use for is reduced; the name says so.
        def image_key(node)
          return carried_key(node.raster) if node.raster.carried?
          wanted = @ppi && (node.width_mm * @ppi / 25.4).ceil
          width = (wanted && wanted < node.raster.width_px) ? wanted : nil
          Names.image(node.raster.content, width).tap { |key| @images[key] = [node.raster.content, width].compact }
        end

        def carried_key(pixels)
          found = Carried.of(pixels, profile: @inks.profile)
          Names.image(found.content, nil).tap { |key| @carried[key] = found }
        end

        def text(node)
          runs = node.face.runs(node.string)
          matrix = text_matrix(node)
          read_as(spread?(node, runs) && node.string) do
            if node.halo
              stroke(node.halo)
              show(node, matrix, runs, 1)
            end
            opacity(1.0, over: @inks.overprint?(node.colour, text: true))
            colour(node.colour)
            show(node, matrix, runs, 0)
          end
        end

        # Spaced by more than this share of their size, letters are taken for words.
        SPREAD = 0.1

        def spread?(node, runs) = node.tracking_pt > SPREAD * node.size_pt && runs.none?(&:rtl)

        # What is shown in the block is read as one string (ISO 32000-2, 14.9.4), where there is one.
        def read_as(string)
          return yield unless string
          @out << "/Span << /ActualText <#{("\uFEFF" + string).encode("UTF-16BE").unpack1("H*")}> >> BDC\n"
          yield
          @out << "EMC\n"
        end

        # Letter by letter.
        def curved_text(node)
          read_as(node.string) do
            if node.halo
              stroke(node.halo)
              letters(node, 1)
            end
            opacity(1.0, over: @inks.overprint?(node.colour, text: true))
            colour(node.colour)
            letters(node, 0)
          end
        end

        def letters(node, mode)
          node.letters.each do |letter|
            @out << "BT /#{Names.font(letter.face.key)} #{real(node.size_pt)} Tf #{mode} Tr #{text_matrix(letter)} Tm "
            @out << Glyphs.new(letter.run, node).operators(@glyphs[letter.face.key])
            @out << " ET\n"
          end
        end

        # Runs follow one another where the one before them ended.
        def show(node, matrix, runs, mode)
          @out << "BT"
          runs.each_with_index do |run, index|
            @out << " /#{Names.font(run.face.key)} #{real(node.size_pt)} Tf"
            @out << " #{mode} Tr #{matrix} Tm" if index.zero?
            @out << " " <<
              Glyphs.new(run, node, index.positive? ? runs[index - 1] : nil).operators(@glyphs[run.face.key])
          end
          @out << " ET\n"
        end

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
