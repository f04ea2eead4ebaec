# frozen_string_literal: true

require "date"
require "forwardable"
require "json"

module TileLoom
  module Document
    # A book as the rest of the core sees it: read from the document, checked against the schema.
    class Book
      LARGEST_BYTES = 200 * 1024 * 1024

      attr_reader :settings, :enclosures

      # Reads JSON text; Refusal for what is not JSON.
      def self.parse(text, enclosures: Assets::Enclosures.none)
        raise Refusal.new("book.too_large", most_mb: LARGEST_BYTES / 1024 / 1024) if text.bytesize > LARGEST_BYTES
        new(Assets::JsonText.parse(text, what: "The book"), enclosures: enclosures)
      end

      # settings: the parsed document. Refuses one that does not fit the schema; fits: it is known to, since
      # it was checked when it was kept. enclosures: where the bytes of its typefaces and pictures are.
      def initialize(settings, fits: false, enclosures: Assets::Enclosures.none)
        @settings, @enclosures = settings, enclosures
        Schema.demand(settings) unless fits
        @contents = Contents.of(settings, enclosures: enclosures)
      end

      # The values that the document states.
      attr_reader :contents

      extend Forwardable

      def_delegators :contents,
        :title,
        :subtitle,
        :author,
        :subject,
        :edition,
        :source,
        :description,
        :date,
        :layout,
        :index,
        :palette,
        :profiles,
        :orders,
        :language,
        :looks,
        :pages,
        :resolution_ppi

      # The design of the index sheet, or nil where the book has none.
      def index_layout = contents.index_layout

      # The typefaces, the drawings of markers and the pictures: the book's own ones and those that ship.
      def_delegators :assets, :faces, :markers, :pictures

      def assets = contents.assets

      # Symbology::Layer list, with sizes as the book has them.
      def layers = @layers ||= contents.layers.map { |layer| layer.in_book(contents.design_scale) }

      # The Artwork::IccProfile of an id among its own ones, or of a shipped one; Refusal where there is none.
      def profile(id, path: nil)
        entry = profiles.find { |known| known.id == id } or return Artwork::IccProfile.of_press(id, path: path)
        once([:profile, id]) { Artwork::IccProfile.new(enclosures.bytes(entry), name: entry.title).for_press! }
      end

      # The layers as one of its looks has them; Refusal for one that it has not.
      def layers_of(look, path: nil)
        found = looks.find { |known| known.id == look } or raise Refusal.new("book.no_such_look", id: look, at: path)
        once([:layers_of, look]) { found.applied(layers) }
      end

      # Who is to be named for the background tiles that its maps show, and for the land of its globes.
      def credits
        tiles = layers.select(&:visible?).filter_map { |layer| layer.tiles&.attribution }
        [*tiles, *(globes? ? [View::World::CREDIT] : [])].uniq.join("; ")
      end

      def globes? =
        [layout, index_layout, *pages.map(&:layout)].compact
          .flat_map(&:elements)
          .any? { |element| element.is_a?(Furniture::Elements::Inset) && element.globe && !element.hidden? }

      # What it says of itself under names of its own: name → text.
      def own_fields = contents.fields.to_h { |field| [field.name, field.value] }

      def parsed_date
        (date.to_s == "") ? nil : Date.iso8601(date)
      rescue Date::Error
        raise Refusal.new("book.date", date: date, at: "/date")
      end

      # How other datums are brought to the book's own.
      def operations = @operations ||= Crs::Operations.new(contents.operations)

      # PROJ objects belong to threads, so the reference is looked up anew for each.
      def crs
        Crs::System.find(contents.crs, operations: operations).for_fixed_scale!
      rescue Refusal => error
        raise error.at("/crs")
      end

      # The Index::CellSize of what its frame covers at a scale.
      def cell_size(scale = index.scale) = index.size(crs, layout.frame_box, scale)

      # The cells of the index over the study area that the source holds, as they were left by hand.
      def cells(source) = @cells ||= index.by_hand&.applied(as_generated(source)) || as_generated(source)

      # The cells as the index generates them, without what was done by hand.
      def as_generated(source) = woven(source).cells

      # What the index comes to as it is generated: an Index::Answer, of as many cells as a book can have.
      def woven(source) = once(:woven) { generate(source, most: Index::Grid::LARGEST) }

      # Its settings as the book is carried elsewhere: with what was done to its cells by hand.
      def carried(source)
        stated = settings.dig("index", "by_hand").to_h.slice("frame_mm", "data_since")
        by_hand = Index::HandDifference.new(as_generated(source), cells(source)).to_h.merge(stated)
        index = settings["index"].except("by_hand")
        settings.merge("index" => by_hand.empty? ? index : index.merge("by_hand" => by_hand))
      end

      # What the block gives, worked out once for this document: parts of drawings that every sheet has.
      def once(key) = (@once ||= {})[key] ||= yield

      # Parts of the document as text, by which drawings are told apart that depend on them alone.
      def key_of(*keys) = once([:key_of, keys]) { JSON.generate(settings.slice(*keys)) }

      # All its pages in their order: a Layout::Run.
      def run(source) =
        @run ||=
          Layout::Run.new(
            pages: contents.pages,
            index: index_layout && (contents.index_pages || Layout::IndexPages.plain),
            cells: cells(source)
          )

      # Which cells lie next to which.
      def neighbours(source) = @neighbours ||= Index::Neighbours.new(cells(source))

      # Uses cells that were generated before (and kept elsewhere) in place of generating them again.
      def with_cells(cells) = tap { @cells, @neighbours, @run = cells, nil, nil }

      # options: before, afresh, most; see Index::Spec#generate.
      def generate(source, **options) = index.generate(crs: crs, frame: layout.frame_box, source: source, **options)

      # What the cells as they are come to: a Index::Answer.
      def cover(source) = index.cover(cells(source), crs: crs, frame: layout.frame_box, source: source)

      # What the index must cover.
      def study_area(source) = index.study_area(crs: crs, source: source)
    end
  end
end
