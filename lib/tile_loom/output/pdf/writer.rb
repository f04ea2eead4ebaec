# frozen_string_literal: true

module TileLoom
  module Output
    module Pdf
      # Puts finished pages into one PDF, streaming: fonts, layers, names and the page tree come last.
      class Writer
        # io: binary, written front to back; about: an About (or its members); faces: a Type::FaceSet; pictures: gives
        # the Artwork::Raster of a SHA-256; manner: a PdfManner; layers: LayerProperties::Entry list; sheets: {number →
        # name} of the pages that it will have; elsewhere: see Links; attachments: Attachments::File list; palette:
        # Symbology::Ink list; profile: an Artwork::IccProfile of the press.
        def initialize(
          io,
          about: nil,
          faces: Type::Library,
          pictures: nil,
          manner: PdfManner.plain,
          layers: [],
          sheets: {},
          elsewhere: {},
          attachments: [],
          palette: [],
          profile: nil,
          **members
        )
          @file = ObjectFile.new(io, version: manner.file_version)
          @about = about || About.new(**members)
          @faces, @pictures, @manner, @profile, @palette = faces, pictures, manner, profile, palette
          @attachments = attachments
          @images = {}
          @tree = @file.reserve
          @pages = []
          @labels = []
          @destinations = Destinations.new
          @links = Links.new(here: sheets, elsewhere: elsewhere)
          @layers = LayerProperties.new(layers, manner)
          @structure = Structure.new(@file, tagged: manner.tagged?)
          @fonts = {}
          @glyphs = Hash.new { |hash, key| hash[key] = {} }
          @states = {}
          @spots = {}
        end

        # Adds a finished Page to the file.
        def add(page)
          head = page.head
          content, *forms = page.streams
          reference = @file.reserve
          contents = @file.add({}, stream: content)
          shared = @file.add(resources(head))
          viewports = head["viewports"].map { |viewport| Measure.new(viewport).write(@file) }
          entry = {
            Type: :Page,
            Parent: @tree,
            **boxes(head),
            Contents: contents,
            Resources: forms.empty? ? shared : with_forms(forms, head, shared),
            **annotated(reference, head)
          }
          entry[:VP] = viewports unless viewports.empty?
          entry[:Group] = group if transparent?(head)
          @file.write(reference, entry)
          listed(reference, head)
          head["glyphs"].each { |key, pairs| @glyphs[key].merge!(pairs.to_h) { |_, first, _| first } }
        end

        # Adds parts of a finished Page as pages of their own: boxes in points, [left, bottom, right, top].
        def add_views(page, boxes)
          head = page.head
          content, *forms = page.streams
          contents = @file.add({}, stream: content)
          shared = @file.add(resources(head))
          own = forms.empty? ? shared : with_forms(forms, head, shared)
          boxes.each do |box|
            members = {Type: :Page, Parent: @tree, MediaBox: box.map(&:to_f), Contents: contents, Resources: own}
            members[:Group] = group if transparent?(head)
            listed(@file.add(members), head.except("sheet"))
          end
          head["glyphs"].each { |key, pairs| @glyphs[key].merge!(pairs.to_h) { |_, first, _| first } }
        end

        # A finished Page as an object that is placed on others; returns [its object, width and height in points, name].
        def add_form(page)
          head = page.head
          content, *forms = page.streams
          shared = @file.add(resources(head))
          outside, width, height = head.values_at("outside_pt", "width_pt", "height_pt")
          members = {
            Type: :XObject,
            Subtype: :Form,
            BBox: [0, 0, width + 2 * outside, height + 2 * outside],
            Resources: forms.empty? ? shared : with_forms(forms, head, shared)
          }
          members[:Group] = group if transparent?(head)
          head["glyphs"].each { |key, pairs| @glyphs[key].merge!(pairs.to_h) { |_, first, _| first } }
          [@file.add(members, stream: content), head]
        end

        # A side of paper with pages on it. side: an Imposition::Side; forms: what `add_form` gave for each page.
        def add_side(side, forms)
          per_mm = 72 / 25.4
          content = +"".b
          side.placed.each { |item| content << placed(item, side, forms) }
          content << marks(side)
          used = side.placed.map(&:page).uniq.to_h { |page| [:"P#{page}", forms[page][0]] }
          resources = {XObject: used}
          resources[:Font] = label_font(side) if side.words
          titles = side.placed.map { |item| forms[item.page][1]["name"] }.uniq
          titles = ["#{titles.first}, #{side.words}"] if side.words
          reference =
            @file.add(
              {
                Type: :Page,
                Parent: @tree,
                MediaBox: [0, 0, side.width * per_mm, side.height * per_mm],
                **(@manner.exchange? ? {TrimBox: [0, 0, side.width * per_mm, side.height * per_mm]} : {}),
                Contents: @file.add({}, stream: Zlib::Deflate.deflate(content + words(side, titles.first), 6)),
                Resources: resources,
                Group: group
              }
            )
          listed(
            reference,
            {
              "title" => titles.join(", "),
              "name" => side.title,
              "height_pt" => side.height * per_mm,
              "outside_pt" => 0
            }
          )
        end

        # Writes what the pages share; the file is whole then.
        def close
          @fonts.each { |key, reference| Font.new(@faces.face(key), @glyphs[key]).write(@file, reference) }
          @file.write(@tree, {Type: :Pages, Kids: @pages.map(&:page), Count: @pages.length})
          catalogue = @file.add(catalogue_members)
          @file.close(root: catalogue, info: @file.add(@about.dictionary(trapped: @manner.exchange?)))
        end

        private

        # A page at its place, as operators. The paper beyond its cut edges falls away.
        def placed(item, side, forms)
          head = forms[item.page][1]
          per_mm = 72 / 25.4
          outside, width, height = head.values_at("outside_pt", "width_pt", "height_pt")
          factor = item.factor
          left, bottom = item.x * per_mm, (side.height - item.y) * per_mm - height * factor
          box = item.clip ? clip_box(item.clip, side) : [left, bottom, width * factor, height * factor]
          "q #{reals(box)} re W n " \
          "#{reals([factor, 0, 0, factor, left - outside * factor, bottom - outside * factor])} cm /P#{item.page} Do " \
          "Q\n"
        end

        def clip_box(box, side) =
          [box.min_x, side.height - box.max_y, box.width, box.height].map { |mm| mm * 72 / 25.4 }

        MARK_PT = 0.25

        def marks(side)
          lines =
            side.marks.map do |x1, y1, x2, y2|
              from, to = [[x1, y1], [x2, y2]].map { |x, y| reals([x * 72 / 25.4, (side.height - y) * 72 / 25.4]) }
              "#{from} m #{to} l\n"
            end
          "q #{Inks.new(profile: @manner.press? ? @profile : nil).operators(Inks::BLACK, stroke: true)} #{MARK_PT} w\n#{lines.join}S Q\n"
        end

        LABEL_PT = 6

        # The name of a part, at the foot of the paper.
        def words(side, title)
          return "" unless side.words
          node =
            Scene::Text.new(
              x: 0,
              y: 0,
              string: title,
              face: @faces.face("sans"),
              size_pt: LABEL_PT,
              colour: Inks::BLACK
            )
          run = node.face.runs(node.string)
          shown =
            run.map do |part|
              "/#{Names.font(part.face.key)} #{LABEL_PT} Tf #{Glyphs.new(part, node).operators { |glyph, text| @glyphs[part.face.key][glyph] ||= text }}"
            end
          colour = Inks.new(profile: @manner.press? ? @profile : nil).operators(Inks::BLACK)
          "q #{colour} BT 1 0 0 1 #{reals([side.placed.first.clip.min_x * 72 / 25.4 + 20, LABEL_PT])} Tm #{shown.join(" ")} ET Q\n"
        end

        def label_font(side)
          @faces
            .face("sans")
            .runs(side.words + side.title)
            .to_h { |run| [Names.font(run.face.key).to_sym, @fonts[run.face.key] ||= @file.reserve] }
        end

        def reals(numbers) = numbers.map { |number| Content.real(number) }.join(" ")

        def catalogue_members
          names, associated = Attachments.new(@attachments, @about).write(@file)
          found = @destinations.write(@file)
          names = names.merge(Dests: found) if found
          {
            Type: :Catalog,
            Pages: @tree,
            Lang: @about.language,
            Outlines: Bookmarks.new(@pages).write(@file),
            PageLabels: {
              Nums: @labels.each_with_index.flat_map { |label, index| [index, label] }
            },
            Names: names.empty? ? nil : names,
            **opening,
            ViewerPreferences: {
              DisplayDocTitle: true,
              PrintScaling: :None
            },
            OCProperties: @layers.any? ? @layers.to_h : nil,
            Metadata:
              @file.add_plain(
                {Type: :Metadata, Subtype: :XML},
                Xmp.new(@about, @manner, fingerprint: @file.fingerprint).to_s
              ),
            OutputIntents: intent,
            **@structure.write,
            **associated
          }.compact
        end

        MODES = {"bookmarks" => :UseOutlines, "layers" => :UseOC, "none" => :UseNone}.freeze
        VIEWS = {"page" => [:Fit], "width" => [:FitH, nil], "actual size" => [:XYZ, nil, nil, 1]}.freeze

        # How a reader shows it first; PDF/X-4 leaves that to the reader.
        def opening
          return {} if @manner.exchange?
          first = @pages.first&.page
          {PageMode: MODES.fetch(@manner.panel), OpenAction: first && [first, *VIEWS.fetch(@manner.opens_at)]}.compact
        end

        # What PDF/A and PDF/X ask for, and files in the colours of a press.
        def intent
          return nil unless @manner.archive? || @manner.press?
          @intent ||= [
            OutputIntent.new(@manner, @manner.press? ? @profile : Artwork::IccProfile.shipped("srgb")).write(@file)
          ]
        end

        # Where the page is listed: bookmarks, labels, names.
        def listed(reference, head)
          height = head["height_pt"] + 2 * head["outside_pt"]
          @pages << Bookmarks::Entry.new(page: reference, title: head["title"], height_pt: height, part: head["part"])
          @labels << {P: head["name"] || head["title"]}
          @destinations.add(Destinations.key(head["sheet"], head["name"]), reference, height) if head["sheet"]
        end

        # Its links, and its place in the structure.
        def annotated(reference, head)
          links = @manner.links? ? @links.leading(head["links"] || []) : []
          annotations = links.map { |link| annotation(link) }
          number =
            @structure.add(
              reference,
              head,
              links.zip(annotations).map { |link, (object, entry)| [link["words"], object, entry] }
            )
          found = {}
          found[:Annots] = annotations.map(&:first) unless annotations.empty?
          found.merge!(StructParents: number, Tabs: :S) if number
          found
        end

        # [object, number of its entry in the structure or nil]
        def annotation(link)
          number = @manner.tagged? ? @structure.reserve_link : nil
          object = @file.reserve
          @file.write_raw(object, @links.annotation(link, number ? " /StructParent #{number}" : ""))
          [object, number]
        end

        def resources(head)
          found = {ProcSet: %i[PDF Text ImageB ImageC]}
          fonts = head["glyphs"].keys.to_h { |key| [Names.font(key).to_sym, @fonts[key] ||= @file.reserve] }
          states = head["states"].to_h { |percent, over| [Names.state(percent, over).to_sym, state(percent, over)] }
          layers = head["layers"].to_h { |id, title| [Names.layer(id).to_sym, @layers.object(@file, id, title)] }
          spots = (head["spots"] || []).to_h { |name| spot(name) }
          found[:Font] = fonts unless fonts.empty?
          found[:ExtGState] = states unless states.empty?
          found[:Properties] = layers unless layers.empty?
          found[:ColorSpace] = spots unless spots.empty?
          images = (head["images"] || {}).to_h { |key, (content, width)| [key.to_sym, image(key, content, width)] }
          found[:XObject] = images unless images.empty?
          found
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

        # ISO 32000-2, 14.11.2: the medium, what is printed beyond the edge, and the page as it is cut.
        def boxes(head)
          outside, bleed, width, height = head.values_at("outside_pt", "bleed_pt", "width_pt", "height_pt")
          media = [0, 0, width + 2 * outside, height + 2 * outside]
          # PDF/X asks for the page as it is cut, also where it is the medium.
          return {MediaBox: media, **(@manner.exchange? ? {TrimBox: media} : {})} if outside.zero?
          {
            MediaBox: media,
            BleedBox: [outside - bleed, outside - bleed, outside + width + bleed, outside + height + bleed],
            TrimBox: [outside, outside, outside + width, outside + height]
          }
        end

        def transparent?(head) = head["streams"].length > 1 || head["states"].any? { |percent, _| percent < 100 }

        # In which colours what is transparent is mixed.
        def group = {S: :Transparency, CS: @manner.press? ? :DeviceCMYK : :DeviceRGB, I: true, K: false}

        # Forms count in the page's own unit and paint with its resources; each is a group of its own.
        def with_forms(forms, head, shared)
          outside, width, height = head.values_at("outside_pt", "width_pt", "height_pt")
          box =
            [-outside, -outside, width + outside, height + outside].map do |points|
              (points / Content::POINTS_PER_MICRON).round
            end
          objects =
            forms.each_with_index.to_h do |form, index|
              [
                Names.form(index + 1).to_sym,
                @file.add(
                  {
                    Type: :XObject,
                    Subtype: :Form,
                    BBox: box,
                    Resources: shared,
                    Group: {
                      S: :Transparency,
                      I: false,
                      K: false
                    }
                  },
                  stream: form
                )
              ]
            end
          resources(head).then { |found| found.merge(XObject: found.fetch(:XObject, {}).merge(objects)) }
        end

        # Overprint in the mode that leaves out inks of no share (ISO 32000-1, 8.6.7).
        def state(percent, over)
          @states[[percent, over]] ||= @file.add(
            {
              Type: :ExtGState,
              CA: percent / 100.0,
              ca: percent / 100.0,
              **(if @manner.press?
                   {OP: over, op: over, OPM: over ? 1 : 0}
                 else
                   {}
                 end)
            }
          )
        end
      end
    end
  end
end
