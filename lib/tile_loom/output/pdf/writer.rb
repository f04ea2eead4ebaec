# frozen_string_literal: true

module TileLoom
  module Output
    module Pdf
      # Puts finished pages into one PDF, streaming: fonts, layers and the page tree come last.
      class Writer
        # io: binary, written front to back; title, author, subject, date (Date or nil): of the document;
        # faces: a Type::FaceSet; pictures: gives the Artwork::Raster of a SHA-256.
        def initialize(io, title:, author: nil, subject: nil, date: nil, faces: Type::Library, pictures: nil)
          @file = ObjectFile.new(io)
          @faces, @pictures = faces, pictures
          @images = {}
          @about = {title: title, author: author, subject: subject, date: date}
          @tree = @file.reserve
          @pages = []
          @layers = {}
          @fonts = {}
          @glyphs = Hash.new { |hash, key| hash[key] = {} }
          @opacities = {}
        end

        # Adds a finished Page to the file.
        def add(page)
          head = page.head
          content, *forms = page.streams
          contents = @file.add({}, stream: content)
          shared = @file.add(resources(head))
          viewports = head["viewports"].map { |viewport| Measure.new(viewport).write(@file) }
          entry = {
            Type: :Page,
            Parent: @tree,
            **boxes(head),
            Contents: contents,
            Resources: forms.empty? ? shared : with_forms(forms, head, shared)
          }
          entry[:VP] = viewports unless viewports.empty?
          @pages << [@file.add(entry), head["title"], head["height_pt"] + 2 * head["outside_pt"]]
          head["glyphs"].each { |key, pairs| @glyphs[key].merge!(pairs.to_h) { |_, first, _| first } }
        end

        def close
          @fonts.each { |key, reference| Font.new(@faces.face(key), @glyphs[key]).write(@file, reference) }
          @file.write(@tree, {Type: :Pages, Kids: @pages.map(&:first), Count: @pages.length})
          catalog = {
            Type: :Catalog,
            Pages: @tree,
            Outlines: outlines,
            PageMode: :UseOutlines,
            ViewerPreferences: {
              DisplayDocTitle: true,
              PrintScaling: :None
            }
          }
          catalog[:OCProperties] = layer_properties if @layers.any?
          @file.close(root: @file.add(catalog), info: @file.add(info))
        end

        private

        def resources(head)
          found = {ProcSet: %i[PDF Text]}
          fonts = head["glyphs"].keys.to_h { |key| [Names.font(key).to_sym, @fonts[key] ||= @file.reserve] }
          states = head["opacities"].to_h { |percent| [Names.opacity(percent).to_sym, opacity(percent)] }
          layers = head["layers"].to_h { |id, title| [Names.layer(id).to_sym, layer(id, title)] }
          found[:Font] = fonts unless fonts.empty?
          found[:ExtGState] = states unless states.empty?
          found[:Properties] = layers unless layers.empty?
          images =
            head
              .fetch("images", [])
              .to_h do |content|
                [Names.image(content).to_sym, @images[content] ||= Image.new(@pictures.call(content)).write(@file)]
              end
          found[:XObject] = images unless images.empty?
          found
        end

        # ISO 32000-2, 14.11.2: the medium, what is printed beyond the edge, and the page as it is cut.
        def boxes(head)
          outside, bleed, width, height = head.values_at("outside_pt", "bleed_pt", "width_pt", "height_pt")
          media = [0, 0, width + 2 * outside, height + 2 * outside]
          return {MediaBox: media} if outside.zero?
          {
            MediaBox: media,
            BleedBox: [outside - bleed, outside - bleed, outside + width + bleed, outside + height + bleed],
            TrimBox: [outside, outside, outside + width, outside + height]
          }
        end

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

        def opacity(percent) =
          @opacities[percent] ||= @file.add({Type: :ExtGState, CA: percent / 100.0, ca: percent / 100.0})

        def layer(id, title) = @layers[id] ||= @file.add({Type: :OCG, Name: title})

        def layer_properties
          all = @layers.values
          {OCGs: all, D: {Order: all, ON: all, Name: "Layers"}}
        end

        def outlines
          root = @file.reserve
          items = @pages.map { @file.reserve }
          @pages.each_with_index do |(page, title, height), index|
            entry = {Title: title, Parent: root, Dest: [page, :XYZ, 0, height, nil]}
            entry[:Prev] = items[index - 1] if index.positive?
            entry[:Next] = items[index + 1] if items[index + 1]
            @file.write(items[index], entry)
          end
          @file.write(root, {Type: :Outlines, First: items.first, Last: items.last, Count: items.length})
          root
        end

        def info
          found = {Title: @about[:title], Producer: "Tile Loom", Creator: "Tile Loom"}
          found[:Author] = @about[:author] if @about[:author].to_s != ""
          found[:Subject] = @about[:subject] if @about[:subject].to_s != ""
          found[:CreationDate] = Time.utc(*@about[:date].then { |date| [date.year, date.month, date.day] }) if @about[
            :date
          ]
          found
        end
      end
    end
  end
end
