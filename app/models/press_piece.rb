# frozen_string_literal: true

module App
  # A range of sheets of a run, drawn by one worker; its finished pages wait in the database, so that
  # workers on other machines can share the work.
  class PressPiece < ActiveRecord::Base
    # Sheets of a piece: of pages that are bound, and of files that are each finished by themselves.
    SHEETS = 16
    FILES = 4
    # Stands for the ground of all sheets among the numbers of pages (see TileLoom::Layout::BookPage).
    GROUND = -1

    belongs_to :press_run

    attribute :numbers, :json
    # {number → why it is missing}
    attribute :missing, :json
    # {name of a sheet → sentences}
    attribute :notices, :json

    def self.number_of(item) = (item == TileLoom::Output::Press::GROUND) ? GROUND : item.number

    def lacking = missing || {}
  end
end
