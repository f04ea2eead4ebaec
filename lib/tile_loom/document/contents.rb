# frozen_string_literal: true

module TileLoom
  module Document
    # Everything that a book document states: the root of its values and of its JSON Schema.
    class Contents < Values::Value
      FORMAT, VERSION = "tile-loom-book", 1

      operation =
        Values::Plain.new(
          {
            "type" => "object",
            "required" => %w[datums name],
            "additionalProperties" => false,
            "properties" => {
              "datums" => {
                "type" => "array",
                "minItems" => 2,
                "maxItems" => 2,
                "items" => {
                  "type" => "string",
                  "minLength" => 1,
                  "maxLength" => 200
                }
              },
              "name" => {
                "type" => "string",
                "minLength" => 1,
                "maxLength" => 500
              }
            }
          }
        )

      define
      part :format, Values::Plain.new({"const" => FORMAT}), required: true
      part :version, Values::Plain.new({"const" => VERSION}), required: true
      part :title, text(least: 1, most: 200), required: true
      part :subtitle, text(most: 200)
      part :author, text(most: 200)
      part :subject, text(most: 500)
      part :edition, text(most: 200), about: "Edition or revision, as the sheets say it."
      part :source, text(most: 2000)
      part :description, text(most: 10_000), about: "Of the book, as long as it need be."
      part :fields,
        list(OwnField.type, most: 100, ids: Values::EntryIds.new("field", by: "name")),
        default: [],
        about: "What else is to be said of it: live text has each by its name."
      part :date, text(pattern: "^(\\d{4}-\\d{2}-\\d{2})?$")
      part :crs, text(least: 1, most: 20_000), required: true
      part :operations,
        list(operation, most: 50),
        default: [],
        about:
          "Between two datums, the transformation that brings data and grids of one to the other, by its name in PROJ's database."
      part :layers, list(Symbology::Layer.type, most: 500), required: true
      part :markers,
        list(Symbology::OwnMarker.type, most: 200),
        default: [],
        about: "The book's own drawings for point markers."
      part :faces, list(Assets::Enclosure.type, most: 60), default: [], about: "The book's own typefaces."
      part :pictures,
        list(Assets::Enclosure.type, most: 200),
        default: [],
        about: "The book's own pictures, PNG or JPEG."
      part :profiles,
        list(Assets::Enclosure.type, most: 20),
        default: [],
        about: "The book's own colour profiles (ICC) of printing presses."
      part :palette,
        list(Symbology::Ink.type, most: 200, ids: Values::EntryIds.new("ink", by: "colour")),
        default: [],
        about: "Colours that files for a printing press carry as they are to be printed."
      part :design_scale,
        Values::Types::SCALE,
        about:
          "Sizes of symbols and labels are correct at this scale and grow and shrink with the ground, but of layers that say otherwise; without it they are fixed on paper."
      part :resolution_ppi,
        whole(72..1200),
        default: 300,
        about: "Pixels per inch that rasters print with."
      part :looks,
        list(Symbology::MapLook.type, most: 50, ids: Values::EntryIds.new("look")),
        default: [],
        about: "Which layers the maps show, each under a name."
      part :notes, Furniture::Notes::Collection.type, default: {}, about: "Notes on the ground, a separate layer."
      part :labels_by_hand,
        list(Symbology::Labels::ByHand.type, most: 5000, ids: Values::EntryIds.new("label")),
        default: [],
        about: "What was done to single labels by hand."
      part :orders,
        list(Output::Order.type, most: 100, ids: Values::EntryIds.new("order", by: "name")),
        default: [],
        about: "Saved export settings, each under a name."
      part :language,
        Languages::Tag.new,
        default: "en",
        about:
          "Of its texts (RFC 5646): how numbers and dates are written on its pages, and the words that pages have of themselves."
      part :layout, Layout::Layout.type, required: true, about: "The page of every cell."
      part :index_layout, Layout::Layout.type, about: "The page of the index sheet; without it there is none."
      part :index_pages, Layout::IndexPages.type, about: "Where it stands in the book, and in how many parts."
      part :pages,
        list(Layout::FreePage.type, most: 300),
        default: [],
        about: "Pages beside the sheets: covers, notes, contents."
      part :index, Index::Spec.type, required: true

      # JSON that the schema has checked → Contents with what the book draws with of its own. enclosures: where the
      # bytes of its typefaces and pictures are.
      def self.of(json, enclosures: Assets::Enclosures.none) = new(json, assets: assets(json, enclosures: enclosures))

      # Lists of what a book brings of its own to draw with, with what others bring that is not there yet; those that
      # are another by that. lists: their names.
      def self.own_with(settings, others, lists)
        lists
          .filter_map do |list|
            own = settings.fetch(list, [])
            fresh = (others[list] || []).reject { |entry| own.any? { |known| known["id"] == entry["id"] } }
            [list, own + fresh] if fresh.any?
          end
          .to_h
      end

      # The Symbology::Assets of a document, or of the part of it that holds its own ones.
      def self.assets(json, enclosures:)
        faces, pictures, markers =
          %i[faces pictures markers].map { |name| parts[name].read(json, path: "", assets: nil) }
        Symbology::Assets.new(
          faces: Type::FaceSet.new(faces, enclosures: enclosures),
          markers: Symbology::MarkerSet.new(markers),
          pictures: Artwork::PictureSet.new(pictures, enclosures: enclosures)
        )
      end
    end
  end
end
