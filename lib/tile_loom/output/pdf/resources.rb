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
          @fonts, @images, @carried, @states, @spots, @shadings = {}, {}, {}, {}, {}, {}
          @glyphs = Hash.new { |hash, key| hash[key] = {} }
        end

        # Writes the content of a finished Page and what it names; returns the objects of both.
        def content(page) = [@file.add({}, stream: page.streams.first), of_page(page)]

        # The object of what a finished Page names.
        def of_page(page)
          page.head["glyphs"].each { |key, pairs| take(key, pairs.to_h) }
          own = page.carried.to_h { |key, pixels| [key, @carried[key] ||= pixels.write(@file)] }
          shared = shaded(of(page.head, own), page.head)
          page.forms.empty? ? @file.add(shared) : with_forms(page.forms, page.head, shared)
        end

        # The dictionary of what a page's head names.
        # carried: {name → object} of pixels that the page alone has.
        def of(head, carried = {})
          {
            ProcSet: %i[PDF Text ImageB ImageC],
            Font: head["glyphs"].keys.to_h { |key| [Names.font(key).to_sym, font(key)] },
            ExtGState:
              head["states"].to_h do |percent, over, blend|
                [Names.state(percent, over, blend).to_sym, state(percent, over, blend)]
              end,
            Properties: head["layers"].to_h { |id, title| [Names.layer(id).to_sym, @layers.object(@file, id, title)] },
            ColorSpace: (head["spots"] || []).to_h { |name| spot(name) },
            XObject:
              (head["images"] || {})
                .to_h { |key, (content, width)| [key.to_sym, image(key, content, width)] }
                .merge(carried.transform_keys(&:to_sym))
          }.reject { |_, members| members.empty? }
        end

        # The object of a typeface, which is written at the end.
        def font(key) = @fonts[key] ||= @file.reserve

        # Glyphs of a typeface that are used: {glyph → characters}.
        def take(key, glyphs) = @glyphs[key].merge!(glyphs) { |_, first, _| first }

        def glyphs(key) = @glyphs[key]

        # Writes the typefaces.
        def close
          @fonts.each { |key, reference| Font.new(@faces.embedded(key), @glyphs[key]).write(@file, reference) }
        end

        def transparent?(head) =
          head.key?("forms") || head.fetch("shadings", {}).any? { |_, own| own["opacities"] } ||
            head.fetch("carried", {}).any? { |_, own| own["masked"] } ||
            head["states"].any? { |percent, _| percent < 100 }

        # In which colours what is transparent is mixed.
        def group = {S: :Transparency, CS: @manner.press? ? :DeviceCMYK : :DeviceRGB, I: true, K: false}

        private

        # With the gradients that a page's head names, and the states in which they are as opaque as they should be.
        def shaded(members, head)
          shadings = head["shadings"] or return members
          box = form_box(head)
          written = shadings.to_h { |key, own| [key, @shadings[[key, box]] ||= shading(own, box)] }
          masks = written.filter_map { |key, (_, mask)| mask && [Names.mask(key).to_sym, mask] }.to_h
          members
            .merge(
              Shading: written.to_h { |key, (object, _)| [key.to_sym, object] },
              ExtGState: members.fetch(:ExtGState, {}).merge(masks)
            )
            .reject { |_, list| list.empty? }
        end

        # [object, that of its mask or nil]
        def shading(own, box)
          shading = Shading.new(own)
          [shading.write(@file), shading.mask(@file, box)]
        end

        # The whole medium in the page's own unit.
        def form_box(head)
          outside, width, height = head.values_at("outside_pt", "width_pt", "height_pt")
          [-outside, -outside, width + outside, height + outside].map do |points|
            (points / Content::POINTS_PER_MICRON).round
          end
        end

        # Forms count in the page's own unit and paint with its resources; each is a group of its own.
        def with_forms(forms, head, members)
          shared = @file.add(members)
          form = {
            Type: :XObject,
            Subtype: :Form,
            BBox: form_box(head),
            Group: {
              S: :Transparency,
              I: true,
              K: false
            }
          }
          objects = {}
          forms.each_with_index do |content, index|
            resources = (head["nested"] && index.positive?) ? @file.add(with_objects(members, objects)) : shared
            objects[Names.form(index + 1).to_sym] = @file.add(form.merge(Resources: resources), stream: content)
          end
          @file.add(with_objects(members, objects))
        end

        def with_objects(members, objects) = members.merge(XObject: members.fetch(:XObject, {}).merge(objects))

        # Overprint in the mode that leaves out inks of no share (ISO 32000-1, 8.6.7).
        def state(percent, over, blend)
          printed =
            (
              if @manner.press?
                {OP: over, op: over, OPM: over ? 1 : 0}
              else
                {}
              end
            )
          @states[[percent, over, blend]] ||= @file.add(
            {
              Type: :ExtGState,
              CA: percent / 100.0,
              ca: percent / 100.0,
              **printed,
              **((blend == "normal") ? {} : {BM: blend.capitalize.to_sym})
            }
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
