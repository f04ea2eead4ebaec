# frozen_string_literal: true

module App
  # A book's row, and its document put together from the rows that belong to it.
  class Book < ActiveRecord::Base
    TEXTS = %w[title subtitle author subject source date reference].freeze

    has_many :layers, -> { order(:position, :id) }
    has_one :layout
    has_one :index, class_name: "App::GridIndex"
    has_many :edits
    has_many :press_runs

    # The book document without its data.
    def settings
      {"format" => "tile-loom-book", "version" => 1}
        .merge(attributes.slice(*TEXTS))
        .merge("layers" => layers.reject(&:removed).map(&:settings), "layout" => layout.settings, "index" => index.settings)
    end

    # The core's view of the book, with the cells that were kept.
    def document = TileLoom::Book::Document.new(settings).with_cells(index.cells.map(&:to_core))

    # Weaves the index by the settings as they stand and keeps its cells; returns the book.
    def weave = tap { index.keep(TileLoom::Book::Document.new(settings).weave(source).cells) }

    def source = FeatureSource.new(layers)
  end
end
