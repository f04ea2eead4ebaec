# frozen_string_literal: true

module App
  # One run of the press: an order over a book as it was when asked for, whatever changes meanwhile.
  # States: waiting, running, done, incomplete (sheets are missing), failed, cancelled.
  class PressRun < ActiveRecord::Base
    include OpenStates

    OPEN = %w[waiting running].freeze
    # What came to an end with all that it made.
    ENDED = %w[done incomplete failed cancelled].freeze

    belongs_to :book
    has_many :pieces, -> { order(:position) }, class_name: "App::PressPiece"
    has_many :files, -> { order(:position) }, class_name: "App::PressFile"

    attribute :document, :json
    attribute :cells, :json
    attribute :order_given, :json
    # {number of an item → name of its file}; of a form that is one file, {"book" → its name}
    attribute :names, :json
    attribute :notices, :json
    # The book as it was when the missing sheets were asked for: {document, cells, revision}.
    attribute :later, :json

    def done = pieces.sum(:done)

    def printed_cells(later: false) = (later ? self.later.fetch("cells") : cells).map { |row| Cell.core_of(row) }

    def core_document(later: false)
      cells = printed_cells(later: later)
      Book.core(later ? self.later.fetch("document") : document).with_cells(cells)
    end

    def order = TileLoom::Output::Order.new(order_given)

    # The press that makes it. later: of the book as it was when the missing sheets were asked for.
    def press(source: book.source, later: false)
      document = core_document(later: later)
      TileLoom::Output::Press.new(
        book: document,
        source: source,
        order: order,
        cells: document.cells(source),
        today: created_at.to_date
      )
    end

    # TileLoom::Output::Secrets, or nil, as they are kept until it ends, however it ends; given_secrets are those again.
    def self.secret(given) = given && JSON.generate(given.to_h.compact)

    def given_secrets =
      secrets.presence && TileLoom::Output::Secrets.new(**JSON.parse(secrets).transform_keys(&:to_sym))

    # Ends an open run once; true for the caller that did.
    def finish(state, **values) = turn(state, finished_at: Time.now.utc, secrets: nil, **values)

    # {number → why}, of all pieces, without their pages.
    def missing = pieces.pluck(:missing).compact.reduce({}, :merge)

    # Without what is large: the document and the cells that it prints.
    scope :light,
      -> { select(column_names - %w[document cells later], "JSON_VALUE(later, '$.revision') AS later_revision") }

    def later_revision = has_attribute?("later_revision") ? self["later_revision"]&.to_i : later&.fetch("revision")

    def expires_at = self.class.kept_days && finished_at && KeptDays.over(finished_at, self.class.kept_days)

    # For how many days finished runs are kept, as the operator says; nil: for good.
    def self.kept_days = KeptDays.of("KEEP_RUNS_DAYS")

    # Deletes it with its pieces and its files; an open one ends with it.
    def discard
      finish("cancelled", reason: "Deleted.")
      PressPiece.where(press_run_id: id).delete_all
      files.each(&:discard)
      destroy!
    end
  end
end
