# frozen_string_literal: true

module App
  # A layer of a book. Removing one keeps its features, so that undo can bring it back.
  class Layer < ActiveRecord::Base
    belongs_to :book
    has_many :features

    attribute :style, :json

    # Its entry in the book document.
    def settings = {"id" => key, "title" => title, "visible" => visible}.merge(style)

    # A TileLoom::Geometry::Box, or nil while it holds nothing.
    def extent = min_x && TileLoom::Geometry::Box.new(min_x, min_y, max_x, max_y)
  end
end
