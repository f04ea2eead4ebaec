# frozen_string_literal: true

module App
  # A look at GeoJSON before a book is made of it: its extent in degrees, and references that suit it.
  class Look
    def initialize(text) = @reader = TileLoom::Ground::GeojsonReader.from_text(text, target: TileLoom::Reference::Crs.find("OGC:CRS84"))

    # [west, south, east, north]
    def box
      @box ||= TileLoom::Geometry::Geos.extent(features.map(&:wkb))&.to_a || raise(TileLoom::Invalid.new("The file holds no features with a geometry."))
    end

    def suggestions = TileLoom::Reference::Suggestions.new(box).list

    def to_h = {"count" => features.length, "box" => box, "suggestions" => suggestions.map { |suggestion| suggestion.to_h.transform_keys(&:to_s) }}

    private

    def features = @features ||= @reader.features
  end
end
