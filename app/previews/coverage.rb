# frozen_string_literal: true

module App
  # What the cells of a book cover and miss, as the browser gets it.
  class Coverage
    MOST_LISTED = 200

    def initialize(book) = @book = book

    # Of the study area.
    def of_area
      snapshot = Snapshot.of(@book)
      areas = snapshot.document.index.area.layers
      TileLoom::Pulse.expect(layers.select { |layer| areas.include?(layer.key) }.sum(&:feature_count))
      answer = snapshot.document.cover(snapshot.source)
      Presenter.answer(answer, titles: @book.layer_titles, cells: false).merge(Presenter.cover(answer))
    end

    # How the features of a layer fall on the cells.
    def of_layer(layer)
      snapshot = Snapshot.of(@book)
      TileLoom::Pulse.expect(layer.feature_count)
      found = TileLoom::Index::FeatureCover.new(snapshot.cells, snapshot.source.features(layer.key, nil))
      {"count" => found.count, **%w[missing cut several].to_h { |name| [name, listed(found.public_send(name))] }}
    end

    private

    def layers = @book.layers

    # Identities, boxes and a name of the first few.
    def listed(features)
      {
        "count" => features.length,
        "first" =>
          features
            .first(MOST_LISTED)
            .map do |feature|
              {
                "id" => feature.id,
                "name" => label(feature),
                "box" => TileLoom::Geometry::Geos.envelope(TileLoom::Geometry::Geos.read(feature.wkb))&.to_a
              }
            end
      }
    end

    def label(feature) =
      (feature.attributes.values_at("name", "Name", "title", "code").compact.first || feature.id).to_s[0, 80]
  end
end
