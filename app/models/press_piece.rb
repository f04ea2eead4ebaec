# frozen_string_literal: true

module App
  # A range of sheets of a run, drawn by one worker; its finished pages wait in the database, so that
  # workers on other machines can share the work.
  class PressPiece < ActiveRecord::Base
    SHEETS = 16
    # Stands for the index sheet among the numbers.
    INDEX = 0

    belongs_to :press_run

    attribute :numbers, :json
  end
end
