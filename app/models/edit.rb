# frozen_string_literal: true

module App
  # One change of a book: its document before and after.
  class Edit < ActiveRecord::Base
    MOST_KEPT = 500

    belongs_to :book

    attribute :before, :json
    attribute :after, :json

    # Nobody's is anybody's.
    def of?(other) = session.nil? || session == other
  end
end
