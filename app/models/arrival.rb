# frozen_string_literal: true

module App
  # A data file on its way into a book: it is inspected, reported, and kept only when that is wanted.
  # It brings new layers, or (replaces: a layer's key) fresh features for one that is there.
  # States: inspecting, ready, importing, done, failed, cancelled. The original is kept (Originals).
  class Arrival < ActiveRecord::Base
    OPEN = %w[inspecting ready importing].freeze

    # None yet for a file that a new book is to be made of.
    belongs_to :book, optional: true

    attribute :report, :json, default: []
    # {"layers", "reference", "columns"}, as far as they have been chosen.
    attribute :choice, :json, default: {}
    attribute :remarks, :json, default: []

    # Still wanted? Asked afresh, since another process may have dropped it.
    def wanted? = Arrival.where(id: id, state: OPEN).exists?

    # The same question for another thread, with a connection of its own that goes back.
    def asked = -> { ActiveRecord::Base.connection_pool.with_connection { wanted? } }

    # Moves an open arrival on, once; true for the caller that did.
    def turn(state, from: OPEN, **values)
      Arrival.where(id: id, state: from).update_all({state: state, updated_at: Time.now.utc}.merge(values)) == 1
    end

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

    def columns = TileLoom::Ground::Columns.new(choice["columns"])

    # A sentence with the file's own name in place of the store's.
    def named(sentence) = sentence.gsub(File.basename(path), name)

    # Did it come to make a book of?
    def start? = book_id.nil? || choice.key?("start")

    # Looks into a table again, with its columns of places as they are named. Invalid for columns that are not there.
    def look_again(wanted)
      wanted = wanted.slice("x", "y", "wkt").transform_values(&:to_s)
      TileLoom::Ground::Columns.new(wanted).check(report.flat_map { |layer| layer["attributes"].map { |attribute| attribute["name"] } })
      transaction do
        turned = turn("inspecting", from: %w[ready], choice: choice.merge("columns" => wanted))
        Delayed::Job.enqueue(InspectArrivalJob.new(id), priority: Turn::LOOK) if turned
      end
    end

    # Of Arrival: made with its file and its job, or not at all.
    def self.accept(tempfile, **values)
      made = nil
      transaction do
        made = create!(**values)
        made.receive(tempfile)
        Delayed::Job.enqueue(InspectArrivalJob.new(made.id), priority: Turn::LOOK)
      end
      made
    rescue
      made&.drop_original
      raise
    end

    def drop_original = path && Originals.drop(path)
  end
end
