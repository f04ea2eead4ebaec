# frozen_string_literal: true

module App
  # Brings features into a layer of a book, in batches.
  class LayerImport
    def initialize(book) = @book = book

    # What a layer looks like that came without a look: sober, by its kind of geometry. place: among its layers.
    def self.look(layer, title:, place:)
      colours = TileLoom::Document::Starter::COLOURS
      symbol = TileLoom::Document::Starter.symbol(layer.kind, colours[place % colours.length])
      {"rules" => [{"title" => title, "symbol" => symbol}]}
    end

    # reader: TileLoom::Data::GeojsonReader. removed: not shown yet; began: called with the row before its features
    # come. Yields the count so far after each batch. Returns the Layer. The caller sees to it that a failure leaves
    # nothing.
    def keep(reader, key:, name: nil, removed: false, version: 1, began: nil, &progress)
      layer =
        Layer.create!(
          book_id: @book.id,
          key: key,
          version: version,
          removed: removed,
          original_reference: reader.source_reference.code,
          original_name: name.to_s[0, 250]
        )
      began&.call(layer)
      tally = store(reader, layer, &progress)
      if tally.count.zero?
        trouble = reader.refused.first or raise TileLoom::Refusal.new("imports.file_without_geometry")
        raise TileLoom::Refusal.new("imports.nothing_read", trouble: trouble)
      end
      layer.update!(
        feature_count: tally.count,
        kind: tally.kind,
        fields: tally.types.to_h,
        vertex_count: tally.vertices,
        **Layer.bounds(tally.box)
      )
      WorkQueue.put(:coarse_levels, layer.id, turn: Turn::COARSE) if CoarseLevels.new(layer).wanted?
      layer
    end

    private

    Tally =
      Struct.new(:count, :kinds, :box, :vertices, :types) do
        def kind = TileLoom::Symbology::LayerKinds.of_kinds(kinds).key
      end

    def store(reader, layer)
      tally = Tally.new(0, [], nil, 0, TileLoom::Data::AttributeTypes.new)
      TileLoom::Data::ReadAhead
        .new(reader.each_batch)
        .each do |pairs|
          FeatureRows.insert(layer, pairs)
          count(tally, pairs.map(&:first))
          yield tally.count if block_given?
        end
      tally
    end

    def count(tally, features)
      tally.count += features.length
      tally.kinds |= [TileLoom::Symbology::LayerKinds.of_features(features)]
      # A point is 16 bytes of well-known binary; the heads count for little.
      tally.vertices += features.sum { |feature| feature.wkb.bytesize / 16 }
      tally.box = [tally.box, TileLoom::Geometry::Wkb.extent(features.map(&:wkb))].compact.reduce { |a, b| a.union(b) }
      features.each { |feature| tally.types.observe(feature.attributes) }
    end
  end
end
