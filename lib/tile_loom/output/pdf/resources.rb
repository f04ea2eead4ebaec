# frozen_string_literal: true

module TileLoom
  module Output
    module Pdf
      # What the content of pages names, shared by all pages of a document: typefaces, layers, pictures, graphics
      # states, inks of their own.
      class Resources
        attr_reader :layers

        # See Writer.
        def initialize(file, manner, faces:, pictures:, layers:, palette:, profile:)
          @file, @manner, @faces, @pictures, @palette, @profile = file, manner, faces, pictures, palette, profile
          @layers = LayerProperties.new(layers, manner)
          @fonts, @images, @states, @spots = {}, {}, {}, {}
          @glyphs = Hash.new { |hash, key| hash[key] = {} }
        end

        # Writes the content of a finished Page and what it names; returns the objects of both.
        def content(page) = [@file.add({}, stream: page.streams.first), of_page(page)]

        # The object of what a finished Page names.
        def of_page(page)
          page.head["glyphs"].each { |key, pairs| take(key, pairs.to_h) }
          shared = @file.add(of(page.head))
          forms = page.streams.drop(1)
          forms.empty? ? shared : with_forms(forms, page.head, shared)
        end

        # The dictionary of what a page's head names.
        def of(head)
          {
            ProcSet: %i[PDF Text ImageB ImageC],
            Font: head["glyphs"].keys.to_h { |key| [Names.font(key).to_sym, font(key)] },
            ExtGState:
              head["states"].to_h { |percent, over| [Names.state(percent, over).to_sym, state(percent, over)] },
            Properties: head["layers"].to_h { |id, title| [Names.layer(id).to_sym, @layers.object(@file, id, title)] },
            ColorSpace: (head["spots"] || []).to_h { |name| spot(name) },
            XObject: (head["images"] || {}).to_h { |key, (content, width)| [key.to_sym, image(key, content, width)] }
          }.reject { |_, members| members.empty? }
        end

        # The object of a typeface, which is written at the end.
        def font(key) = @fonts[key] ||= @file.reserve

        # Glyphs of a typeface that are used: {glyph → characters}.
        def take(key, glyphs) = @glyphs[key].merge!(glyphs) { |_, first, _| first }

        def glyphs(key) = @glyphs[key]

        # Writes the typefaces.
        def close
          @fonts.each { |key, reference| Font.new(@faces.face(key), @glyphs[key]).write(@file, reference) }
        end

        def transparent?(head) = head["streams"].length > 1 || head["states"].any? { |percent, _| percent < 100 }

        # In which colours what is transparent is mixed.
        def group = {S: :Transparency, CS: @manner.press? ? :DeviceCMYK : :DeviceRGB, I: true, K: false}

        private

        # Forms count in the page's own unit and paint with its resources; each is a group of its own.
        def with_forms(forms, head, shared)
          outside, width, height = head.values_at("outside_pt", "width_pt", "height_pt")
          box =
            [-outside, -outside, width + outside, height + outside].map do |points|
              (points / Content::POINTS_PER_MICRON).round
            end
          members = {
            Type: :XObject,
            Subtype: :Form,
            BBox: box,
            Resources: shared,
            Group: {
              S: :Transparency,
              I: false,
              K: false
            }
          }
          objects =
            forms.each_with_index.to_h do |form, index|
              [Names.form(index + 1).to_sym, @file.add(members, stream: form)]
            end
          of(head).then { |found| found.merge(XObject: found.fetch(:XObject, {}).merge(objects)) }
        end

        # Overprint in the mode that leaves out inks of no share (ISO 32000-1, 8.6.7).
        def state(percent, over)
          printed = if @manner.press?
            {OP: over, op: over, OPM: over ? 1 : 0}
          else
            {}
          end
          @states[[percent, over]] ||= @file.add(
            {Type: :ExtGState, CA: percent / 100.0, ca: percent / 100.0, **printed}
          )
        end

        def image(key, content, width) =
          @images[key] ||= Image.new(
            @pictures.call(content),
            width: width,
            profile: @manner.press? ? @profile : nil
          ).write(@file)

        # A colour of its own with what stands for it (ISO 32000-1, 8.6.6.4).
        def spot(name)
          ink = @palette.find { |entry| entry.name == name }
          [
            Inks.name(ink).to_sym,
            @spots[name] ||= @file.add(
              [
                :Separation,
                ink.name.to_sym,
                :DeviceCMYK,
                {FunctionType: 2, Domain: [0, 1], C0: [0, 0, 0, 0], C1: ink.shares, N: 1}
              ]
            )
          ]
        end
      end
    end
  end
end
