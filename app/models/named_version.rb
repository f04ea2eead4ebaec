# frozen_string_literal: true

module App
  # A state of a book under a name that somebody gave it.
  class NamedVersion < ActiveRecord::Base
    MOST = 500

    belongs_to :book
  end
end
