# frozen_string_literal: true

module App
  # A change of the reference that a book is drawn in: all features are taken there from their
  # originals, aside, and put in place in one go. Undoing such a change is one too.
  # States: waiting, running, done, failed, cancelled. direction: forward, undo, redo
  # (of the edit), back (to the book as it was at a position).
  class Reprojection < ActiveRecord::Base
    include OpenStates

    OPEN = %w[waiting running].freeze

    belongs_to :book

    # "operations" of the document that it leads to.
    attribute :operations, :json
    def self.open_for(book) = where(book_id: book.id, state: OPEN).order(:id).last
  end
end
