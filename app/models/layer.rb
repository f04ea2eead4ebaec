# frozen_string_literal: true

module App
  # A layer of a book. Removing one keeps its features, so that undo can bring it back.
  class Layer < ActiveRecord::Base
    belongs_to :book
    has_many :features

    attribute :style, :json

    # Its entry in the book document.
    def settings = {"id" => key, "title" => title, "visible" => visible}.merge(style)

    # Yields each feature's identity and itself as a GeoJSON Feature, in the book's reference; a batch
    # at a time is in memory.
    def each_geojson
      features.in_batches(of: 1000) do |batch|
        batch.pluck(:identity, :shape, :properties).each do |identity, shape, properties|
          yield identity, {"type" => "Feature", "properties" => properties, "geometry" => TileLoom::Geometry::Geojson.of(shape)}
        end
      end
    end

    # A TileLoom::Geometry::Box, or nil while it holds nothing.
    def extent = min_x && TileLoom::Geometry::Box.new(min_x, min_y, max_x, max_y)
  end
end
