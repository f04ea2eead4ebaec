# frozen_string_literal: true

module App
  # One run of the press. It prints the book as it was when asked for, whatever changes meanwhile.
  # States: waiting, running, done, failed, cancelled.
  class PressRun < ActiveRecord::Base
    include OpenStates

    OPEN = %w[waiting running].freeze

    belongs_to :book
    has_many :pieces, -> { order(:position) }, class_name: "App::PressPiece"

    attribute :document, :json
    attribute :cells, :json

    def done = pieces.sum(:done)

    def printed_cells = cells.map { |row| Cell.core_of(row) }

    def core_document = Book.core(document).with_cells(printed_cells)

    # Ends an open run once; true for the caller that did.
    def finish(state, **values) = turn(state, finished_at: Time.now.utc, **values)

    def self.file_name(id) = "run-#{id}.pdf"

    # Deletes it with its pieces and its file; an open one ends with it.
    def discard
      finish("cancelled", reason: "Deleted.")
      place = path || File.join(Store.folder, self.class.file_name(id))
      PressPiece.where(press_run_id: id).delete_all
      destroy!
      FileUtils.rm_f(place)
    end

    def path = file && File.join(Store.folder, file)
  end
end
