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
          @faces, @manner, @profile, @attachments = faces, manner, profile, attachments
          @tree = @file.reserve
          @resources =
            Resources.new(
              @file,
              manner,
              faces: faces,
              pictures: pictures,
              layers: layers,
              palette: palette,
              profile: profile
            )
          @pages = []
          @labels = []
          @destinations = Destinations.new
          @links = Links.new(here: sheets, elsewhere: elsewhere)
          @structure = Structure.new(@file, tagged: manner.tagged?)
        end

        # Adds a finished Page to the file.
        def add(page)
          head = page.head
          reference = @file.reserve
          contents, resources = @resources.content(page)
          viewports = head["viewports"].map { |viewport| Measure.new(viewport).write(@file) }
          entry = {
            Type: :Page,
            Parent: @tree,
            **boxes(head),
            Contents: contents,
            Resources: resources,
            **annotated(reference, head)
          }
          entry[:VP] = viewports unless viewports.empty?
          entry[:Group] = @resources.group if @resources.transparent?(head)
          @file.write(reference, entry)
          listed(reference, head)
        end

        # Adds parts of a finished Page as pages of their own: boxes in points, [left, bottom, right, top].
        def add_views(page, boxes)
          contents, resources = @resources.content(page)
          boxes.each do |box|
            members = {
              Type: :Page,
              Parent: @tree,
              MediaBox: box.map(&:to_f),
              Contents: contents,
              Resources: resources
            }
            members[:Group] = @resources.group if @resources.transparent?(page.head)
            listed(@file.add(members), page.head.except("sheet"))
          end
        end

        # A finished Page that is to lie on sides of other paper.
        def add_for_sides(page) = paper.add_page(page)

        # An Imposition::Side with the pages that lie on it.
        def add_side(side) = listed(*paper.add_side(side))

        # Writes what the pages share; the file is whole then.
        def close
          @resources.close
          @file.write(@tree, {Type: :Pages, Kids: @pages.map(&:page), Count: @pages.length})
          catalogue = @file.add(catalogue_members)
          @file.close(root: catalogue, info: @file.add(@about.dictionary(trapped: @manner.exchange?)))
        end

        private

        def paper
          @paper ||=
            PaperSides.new(
              @file,
              @resources,
              tree: @tree,
              inks: Inks.new(profile: @manner.press? ? @profile : nil),
              face: @faces.face("sans"),
              trimmed: @manner.exchange?
            )
        end

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
            OCProperties: @resources.layers.any? ? @resources.layers.to_h : nil,
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
          number ? found.merge(StructParents: number, Tabs: :S) : found
        end

        # [object, number of its entry in the structure or nil]
        def annotation(link)
          number = @manner.tagged? ? @structure.reserve_link : nil
          object = @file.reserve
          @file.write_raw(object, @links.annotation(link, number ? " /StructParent #{number}" : ""))
          [object, number]
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
      end
    end
  end
end
