# frozen_string_literal: true

module App
  # A data file on its way into a book: it is inspected, reported, and kept only when that is wanted.
  # It brings new layers, or (replaces: a layer's key) fresh features for one that is there.
  # States: inspecting, ready, importing, done, failed, cancelled. The original is kept (Originals).
  class Arrival < ActiveRecord::Base
    include OpenStates

    OPEN = %w[inspecting ready importing].freeze

    # None yet for a file that a new book is to be made of.
    belongs_to :book, optional: true

    attribute :report, :json, default: []
    # {"layers", "reference", "columns"}, as far as they have been chosen.
    attribute :choice, :json, default: {}
    attribute :remarks, :json, default: []

    # Whether it is still wanted, for another thread, with a connection of its own that goes back.
    def asked = -> { ActiveRecord::Base.connection_pool.with_connection { wanted? } }

    # Yields a local file of the original's bytes.
    def with_file(&block) = Originals.with_file(path, &block)

    # The file is kept under a name that is ours; only the ending is the sender's.
    # What does not come whole leaves nothing.
    def receive(tempfile)
      update!(path: "#{id}/original#{File.extname(name).downcase[/\A\.[a-z0-9]{1,10}\z/]}", bytes: tempfile.size)
      Originals.keep(tempfile, path)
    rescue
      drop_original
      raise
    end

    def columns = TileLoom::Data::Columns.new(choice["columns"])

    # A reader of one of its layers in the local file. target: Crs of the book; reference: Crs of the coordinates where
    # the file does not say it; wanted: nil for what is read within a request.
    # scale: of the book, at which edges in degrees bend as they should.
    def reader(file, layer, target:, reference:, wanted: asked, scale: book&.index&.settings&.fetch("scale", nil))
      TileLoom::Data::FileReader.open(
        file,
        target: target,
        layer: layer,
        reference: reference,
        lenient: true,
        columns: columns,
        wanted: wanted,
        scale: scale
      )
    end

    # Keeps what a reader put right and left out, to be told.
    def remember(reader)
      update!(remarks: (remarks + reader.notices).first(50))
    end

    # Refusal where a table among the layers of these names has no columns of places.
    def demand_places(names)
      lost = report.any? { |layer| layer["asks_columns"] && names.include?(layer["name"]) }
      raise TileLoom::Refusal.new("imports.no_columns_of_places", name: name, at: "/columns") if lost
    end

    # A sentence with the file's own name in place of the store's.
    def named(sentence) = sentence.gsub(File.basename(path), name)

    # Did it come to make a book of?
    def start? = book_id.nil? || choice.key?("start") || opens?

    # Is it a book with everything, to be opened?
    def opens? = choice["opens"] == true

    # Looks into a table again, with its columns of places as they are named. Refusal for columns that are not there.
    def look_again(wanted)
      wanted = wanted.slice("x", "y", "wkt").transform_values(&:to_s)
      TileLoom::Data::Columns.new(wanted).check(
        report.flat_map { |layer| layer["attributes"].map { |attribute| attribute["name"] } }
      )
      transaction { reload.enqueue if turn("inspecting", from: %w[ready], choice: choice.merge("columns" => wanted)) }
    end

    # Begins to bring in the layers of these names, once.
    def import(names, **values)
      transaction do
        total = report.select { |layer| names.include?(layer["name"]) }.sum { |layer| layer["count"] }
        reload.enqueue if turn("importing", from: %w[ready], total: total, **values)
      end
    end

    # Those that work on one.
    JOBS = %i[inspect_arrival inspect_further open_book import_arrival start_book trace_contours].freeze

    # The job that its state waits for.
    def enqueue
      return WorkQueue.put(:inspect_arrival, id, turn: Turn::LOOK) if state == "inspecting"
      return WorkQueue.put(:open_book, id, turn: Turn::IMPORT) if opens?
      WorkQueue.put(book_id ? :import_arrival : :start_book, id, turn: Turn::IMPORT)
    end

    # Of Arrival: made with its file and its job, or not at all.
    def self.accept(tempfile, **values)
      made = nil
      transaction do
        made = create!(**values)
        made.receive(tempfile)
        made.enqueue
      end
      made
    rescue
      made&.drop_original
      raise
    end

    def drop_original = path && Originals.drop(path)
  end
end
