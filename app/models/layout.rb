# frozen_string_literal: true

module App
  # The layout of a book's sheets.
  class Layout < ActiveRecord::Base
    belongs_to :book

    attribute :page, :json
    attribute :elements, :json

    def settings = {"name" => name, "page" => page, "elements" => elements}
  end
end
