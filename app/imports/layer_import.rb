# frozen_string_literal: true

module App
  # Brings features into a layer of a book, in batches.
  class LayerImport
    def initialize(book) = @book = book

    # reader: TileLoom::Data::GeojsonReader. style: nil for a sober one by kind of geometry; removed:
    # not shown yet; began: called with the row before its features come. Yields the count so far after
    # each batch. Returns the Layer. The caller sees to it that a failure leaves nothing.
    def keep(
      reader,
      key:,
      title:,
      position: nil,
      visible: true,
      style: nil,
      name: nil,
      removed: false,
      version: 1,
      began: nil,
      &progress
    )
      layer =
        Layer.create!(
          book_id: @book.id,
          key: key,
          version: version,
          title: title[0, 200],
          visible: visible,
          removed: removed,
          style: style || {"rules" => []},
          position: position || next_position,
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
      unless style
        layer.update!(
          style: {
            "rules" => [
              {"title" => layer.title, "symbol" => TileLoom::Document::Starter.symbol(layer.kind, colour(layer))}
            ]
          }
        )
      end
      WorkQueue.put(:coarse_levels, layer.id, turn: Turn::COARSE) if CoarseLevels.new(layer).wanted?
      layer
    end

    private

    Tally =
      Struct.new(:count, :kinds, :box, :vertices, :types) do
        def kind = TileLoom::Symbology::LayerKinds.of_kinds(kinds).key
      end

    def next_position = (Layer.where(book_id: @book.id).maximum(:position) || -1) + 1

    def colour(layer) =
      TileLoom::Document::Starter::COLOURS[layer.position % TileLoom::Document::Starter::COLOURS.length]

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
