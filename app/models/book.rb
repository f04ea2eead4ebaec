# frozen_string_literal: true

module App
  # A book: its document, but for features, pixels and the cells of its index, which have tables of their own.
  class Book < ActiveRecord::Base
    # Columns that queries need, each as the document says it. They are written here alone.
    DERIVED = {
      "title" => ->(document) { document["title"] },
      "subtitle" => ->(document) { document.fetch("subtitle", "") },
      "reference" => ->(document) { document["crs"] }
    }.freeze

    # Lists of what the book brings of its own to draw with.
    OWN = %w[markers faces pictures].freeze

    # The data of layers of every version, those set aside too.
    has_many :layer_rows, class_name: "App::Layer"
    has_one :index, class_name: "App::GridIndex"
    has_many :edits
    has_many :press_runs
    has_many :reprojections

    # Those that are not in the bin; of these, those that are made.
    scope :kept, -> { where(binned_at: nil) }
    scope :shelved, -> { kept.where(making: false) }

    # JSON as the schema of the book format has it.
    attribute :document, FrozenJson.new

    before_save :derive, if: :document_changed?
    after_save :set_layers_aside, if: :saved_change_to_document?

    # document: a checked one.
    def document=(document)
      @layers = nil
      super(TileLoom::Document::Kept.of(document, before: self.document || {}))
    end

    # members: of the document, nil for one that goes.
    def put(members) = update!(document: document.merge(members).compact)

    def reload(*) = super.tap { @layers = nil }

    # The book as it was at a Moment, to be looked at alone.
    def as_it_was(moment) = self.class.find(id).tap { |book| book.stand_as(moment) }

    def stand_as(moment)
      self["document"] = moment.document
      derive
      index.stand_as(moment)
      @layers, @moment = nil, moment.position
      readonly!
    end

    # Behind which of its edits it is looked at; nil: as it stands.
    attr_reader :moment

    # Deletes it with all that is its own, layers a batch at a time.
    def discard
      layer_rows.each(&:discard)
      press_runs.each(&:discard)
      Arrival.where(book_id: id).update_all(book_id: nil)
      self.class.where(id: id).delete_all
    end

    # Notes that it was opened, to the minute: it is asked for after every change of others, too. Nobody waits for that
    # while a change holds the book, and a database that takes nothing more can still be read.
    def note_opened
      now = Time.now.utc
      return if opened_at && opened_at > now - 60
      self.class.transaction do
        row = self.class.where(id: id)
        row.update_all(opened_at: now) if row.lock("FOR UPDATE SKIP LOCKED").pick(:id)
      end
    rescue ActiveRecord::StatementInvalid => error
      warn("That book #{id} was opened could not be noted: #{error.message.lines.first}")
    end

    # The layers that it names, in their order.
    def layers
      @layers ||=
        begin
          rows = layer_rows.reload.index_by { |row| [row.key, row.version] }
          document["layers"].filter_map { |entry| rows[Layer.key_of(entry)]&.tap { |row| row.book = self } }
        end
    end

    # The entry of a layer by its id, or nil.
    def entry(key) = document["layers"].find { |entry| entry["id"] == key }

    # The designs of the sheets and of the index sheet (nil where there is none), without the typefaces that the book
    # may have of its own.
    def layout = design("layout")

    def index_layout = document["index_layout"] && design("index_layout")

    # The core's view of the book, with the cells that were kept.
    def core = self.class.core(document).with_cells(index.core_cells)

    # How its data and grids come to its datum.
    def datum_shifts =
      TileLoom::Document::DatumShifts.new(
        core,
        layers: layers.map { |layer| [layer.title, layer.original_reference] },
        ground: extent
      )

    # A checked document as the core sees it, with typefaces and pictures from the store.
    def self.core(document) = TileLoom::Document::Book.new(document, fits: true, enclosures: Enclosure.reader)

    # The document as it is carried elsewhere with its cells: it says where these were generated for another frame or
    # older data.
    def stated
      state = IndexState.new(self).carried
      state.empty? ? document : document.merge("index" => document["index"].merge("by_hand" => state))
    end

    # The same with what was done to its cells by hand.
    def carried
      return document if index.plain? && IndexState.new(self).changed.empty?
      self.class.core(stated).with_cells(index.core_cells).carried(source)
    end

    # Generates the index by the document as it stands and keeps its cells; pinned cells and names stay, or all
    # are named afresh. Returns what GridIndex#keep does.
    def generate(afresh: false)
      found = ready || answer(afresh: afresh)
      index.keep(found.cells, with: IndexState.new(self).now.merge("plain" => found.plain?))
    end

    # Generates the cells of a book that has none, and does to them what a document says was done by hand.
    # by_hand: a TileLoom::Index::ByHand, or nil.
    def lay_out(by_hand)
      return generate unless by_hand
      index.keep(by_hand.applied(answer.cells), with: IndexState.new(self).stated_by(by_hand))
    end

    # What the index comes to, worked out before the book was locked; whoever sets it knows that the book has not
    # changed since.
    attr_accessor :ready

    # What the index would come to now; with: another document to generate it by. For a frame of another size all cells
    # but the pinned ones are named afresh, as at another scale.
    def answer(with: document, afresh: false) =
      self
        .class
        .core(with)
        .generate(source, before: index.core_cells, afresh: afresh || IndexState.new(self).other_size?)

    # The same for a changed document: all cells are named afresh where it calls them otherwise.
    def answer_to(changed) =
      answer(with: changed, afresh: TileLoom::Index::Spec.names_differ?(document["index"], changed["index"]))

    # What is done to single cells by hand. cells: TileLoom::Index::Cell list; those that there are, if none are given.
    def handwork(cells = index.core_cells)
      spec, frame, own = index.core, layout.frame_box, TileLoom::Crs::System.find(reference)
      TileLoom::Index::Handwork.new(cells, size: ->(scale) { spec.size(own, frame, scale) }, scale: spec.scale)
    end

    # A place in the order that was given by hand stays when the index is rebuilt.
    def order_by_hand = put("index" => document["index"].merge("order" => {"kind" => "by_hand"}))

    # The cells stay where they are and show what the frame now covers there.
    def fit_cells
      core = self.class.core(document)
      index.keep(core.index.fitted(index.core_cells, crs: core.crs, frame: core.layout.frame_box))
    end

    # The book's reference, with the transformations that bring other datums to its own.
    def crs = TileLoom::Crs::System.find(reference, operations: TileLoom::Crs::Operations.new(operations))

    # The transformations between datums that it uses, as the document has them.
    def operations = document.fetch("operations", [])

    # The typefaces, drawings and pictures: its own, and those that ship.
    def assets = TileLoom::Document::Contents.assets(document.slice(*OWN), enclosures: Enclosure.reader)

    def source = FeatureSource.new(layers)

    # Box of all that the layers hold, in the book's reference; nil while there is none.
    def extent = layers.filter_map(&:extent).reduce { |all, other| all.union(other) }

    def layer_titles = document["layers"].to_h { |entry| entry.values_at("id", "title") }

    # The types of each layer's attributes, for conditions.
    def attribute_types = layers.filter_map { |layer| layer.fields && [layer.key, layer.fields] }.to_h

    private

    def keys_of_layers(said) = said && said["layers"].map { |entry| Layer.key_of(entry) }

    # Read once, as nothing of a document is changed in place.
    def design(member) =
      (@designs ||= {}.compare_by_identity)[document[member]] ||= TileLoom::Layout::Layout.new(
        document[member],
        path: "/#{member}"
      )

    def derive = DERIVED.each { |column, of| self[column] = of.call(document) }

    # Layers, and versions of layers, that the document does not name are kept aside, not deleted.
    def set_layers_aside
      before, named = [document_before_last_save, document].map { |said| keys_of_layers(said) }
      return if before == named
      Layer
        .where(book_id: id)
        .pluck(:id, :key, :version, :removed)
        .group_by { |_, key, version, removed| [removed, !named.include?([key, version])] }
        .each do |(removed, aside), rows|
          Layer.where(id: rows.map(&:first)).update_all(removed: aside) unless removed == aside
        end
    end
  end
end
