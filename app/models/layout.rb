# frozen_string_literal: true

module App
  # A layout of a book: role "sheets" for every cell's page, "index" for the index sheet's.
  class Layout < ActiveRecord::Base
    belongs_to :book

    attribute :page, :json
    attribute :elements, :json
    # {"x" => [mm, …], "y" => [mm, …]}
    attribute :guides, :json

    def settings = {"name" => name, "page" => page, "elements" => elements, "guides" => guides}.compact

    # As the core has it; without the typefaces that the book may have of its own.
    def core = TileLoom::Layout::Layout.new(settings, path: (role == "index") ? "/index_layout" : "/layout")

    # The columns that keep the entry of a book document.
    def self.row_of(entry) =
      {name: entry["name"].to_s, page: entry["page"], elements: entry["elements"], guides: entry["guides"]}
  end
end
