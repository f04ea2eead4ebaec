# frozen_string_literal: true

module App
  # A layout that was kept under a name, for any book; with the book's own drawings that it uses.
  class KeptDesign < ActiveRecord::Base
    extend KeptUnderName

    TITLE = "design"

    attribute :layout, :json
    Book::OWN.each { |list| attribute list, :json }
  end
end
