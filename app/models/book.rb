# frozen_string_literal: true

module App
  # A book's row, and its document put together from the rows that belong to it.
  class Book < ActiveRecord::Base
    TEXTS = %w[title subtitle author subject edition source date].freeze

    has_many :layers, -> { order(:position, :id) }
    has_one :layout, -> { where(role: "sheets") }
    has_one :index_layout, -> { where(role: "index") }, class_name: "App::Layout"
    has_one :index, class_name: "App::GridIndex"
    has_many :edits
    has_many :press_runs
    has_many :reprojections

    # Lists of what the book brings of its own, and of the transformations between datums that it uses.
    OWN = %w[operations markers faces pictures].freeze

    # What the book says of the ways in which it is handed on, and of its pages beside the sheets.
    HANDED_ON = %w[palette orders profiles looks fields pages index_pages labels_by_hand notes].freeze
    # What a document has of these and its texts where it says anything of it.
    PARTS = [*OWN, *HANDED_ON, "language", "description", "resolution_ppi", "design_scale"].freeze

    [*OWN, *HANDED_ON].each { |list| attribute list, :json }

    before_save :name_looks

    # Deletes it with all that is its own, layers a batch at a time.
    def discard
      Layer.where(book_id: id).each(&:discard)
      press_runs.each(&:discard)
      Arrival.where(book_id: id).update_all(book_id: nil)
      self.class.where(id: id).delete_all
    end

    # Frames know looks by ids, whatever becomes of their titles.
    def name_looks
      return if looks.blank? || looks.all? { |look| look["id"] }
      taken = looks.filter_map { |look| look["id"] }
      self.looks =
        looks.map do |look|
          next look if look["id"]
          id = (1..).lazy.map { |number| "look-#{number}" }.find { |free| !taken.include?(free) }
          taken << id
          {"id" => id}.merge(look)
        end
    end

    # The book document without its data.
    def settings
      {"format" => TileLoom::Document::Contents::FORMAT, "version" => TileLoom::Document::Contents::VERSION}.merge(
        attributes.slice(*TEXTS),
        "crs" => reference
      )
        .merge(PARTS.filter_map { |part| public_send(part).presence&.then { |value| [part, value] } }.to_h)
        .merge(
          "layers" => layers.reject(&:removed).map(&:settings),
          "layout" => layout.settings,
          "index_layout" => index_layout&.settings,
          "index" => index.settings
        )
        .compact
    end

    # The core's view of the book, with the cells that were kept.
    def document = self.class.core(settings).with_cells(index.core_cells)

    # How its data and grids come to its datum.
    def datum_shifts =
      TileLoom::Document::DatumShifts.new(
        document,
        layers: layers.reject(&:removed).map { |layer| [layer.title, layer.original_reference] },
        ground: extent
      )

    # A checked document as the core sees it, with typefaces and pictures from the store.
    def self.core(settings) = TileLoom::Document::Book.new(settings, fits: true, enclosures: Enclosure.reader)

    # Generates the index by the settings as they stand and keeps its cells; pinned cells and names stay, or all
    # are named afresh. Returns what GridIndex#keep does.
    def generate(afresh: false) = index.keep((ready || answer(afresh: afresh)).cells, with: IndexState.new(self).now)

    # What the index comes to, worked out before the book was locked; whoever sets it knows that the book has not
    # changed since.
    attr_accessor :ready

    # What the index would come to now; with: other settings to generate it by. For a frame of another size all cells
    # but the pinned ones are named afresh, as at another scale.
    def answer(with: settings, afresh: false) =
      self
        .class
        .core(with)
        .generate(source, before: index.core_cells, afresh: afresh || IndexState.new(self).other_size?)

    # The same for changed settings: all cells are named afresh where they call them otherwise.
    def answer_to(changed) =
      answer(with: changed, afresh: TileLoom::Index::Spec.names_differ?(index.settings, changed["index"]))

    # The cells stay where they are and show what the frame now covers there.
    def fit_cells
      core = self.class.core(settings)
      index.keep(core.index.fitted(index.core_cells, crs: core.crs, frame: core.layout.frame_box))
    end

    # The book's reference, with the transformations that bring other datums to its own.
    def crs = TileLoom::Crs::System.find(reference, operations: TileLoom::Crs::Operations.new(operations))

    # The typefaces, drawings and pictures: its own, and those that ship.
    def assets = TileLoom::Document::Contents.assets(settings.slice(*OWN), enclosures: Enclosure.reader)

    def source = FeatureSource.new(layers)

    # Box of all that the layers hold, in the book's reference; nil while there is none.
    def extent = layers.reject(&:removed).filter_map(&:extent).reduce { |all, other| all.union(other) }

    def layer_titles = layers.reject(&:removed).to_h { |layer| [layer.key, layer.title] }

    # The types of each layer's attributes, for conditions.
    def attribute_types = Layer.where(book_id: id, removed: false).pluck(:key, :fields).to_h.compact
  end
end
