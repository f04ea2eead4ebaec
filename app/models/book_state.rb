# frozen_string_literal: true

module App
  # A book as it was behind one of its edits, whole (Moment#packed), so that a look back starts near by.
  class BookState < ActiveRecord::Base
    # Behind every so many edits one is kept.
    EVERY = 100

    belongs_to :book

    def moment = Moment.unpacked(position, packed)
  end
end
