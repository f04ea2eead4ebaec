# frozen_string_literal: true

module App
  # Brings features into a layer of a book, in batches.
  class LayerImport
    def initialize(book) = @book = book

    # reader: TileLoom::Ground::GeojsonReader. style: nil for a sober one by kind of geometry; removed:
    # not shown yet; began: called with the row before its features come. Yields the count so far after
    # each batch. Returns the Layer. The caller sees to it that a failure leaves nothing.
    def keep(reader, key:, title:, position: nil, visible: true, style: nil, name: nil, removed: false, began: nil, &progress)
      layer = Layer.create!(book_id: @book.id, key: key, title: title[0, 200], visible: visible, removed: removed, style: style || {"rules" => []},
        position: position || next_position, original_reference: reader.source_reference.code, original_name: name.to_s[0, 250])
      began&.call(layer)
      tally = store(reader, layer, &progress)
      raise TileLoom::Invalid.new("The file holds no features with a geometry.") if tally[:count].zero?
      layer.update!(feature_count: tally[:count], kind: kind(tally[:kinds]), **bounds(tally[:box]))
      layer.update!(style: {"rules" => [{"title" => layer.title, "symbol" => TileLoom::Book::Starter.symbol(layer.kind, colour(layer))}]}) unless style
      layer
    end

    private

    def next_position = (Layer.where(book_id: @book.id).maximum(:position) || -1) + 1

    def colour(layer) = TileLoom::Book::Starter::COLOURS[layer.position % TileLoom::Book::Starter::COLOURS.length]

    def store(reader, layer)
      tally = {count: 0, kinds: [], box: nil}
      reader.each_batch do |pairs|
        Feature.insert_all(pairs.map { |feature, original| row(layer, feature, original) })
        features = pairs.map(&:first)
        tally[:count] += features.length
        yield tally[:count] if block_given?
        tally[:kinds] |= [TileLoom::Book::Starter.kind_of(features)]
        tally[:box] = [tally[:box], TileLoom::Geometry::Geos.extent(features.map(&:wkb))].compact.reduce { |a, b| a.union(b) }
      end
      tally
    end

    def row(layer, feature, original)
      {layer_id: layer.id, identity: feature.id, shape: feature.wkb, original: original.wkb, properties: feature.attributes}
    end

    def kind(kinds) = kinds.one? ? kinds.first : "mixed"

    def bounds(box) = box ? {min_x: box.min_x, min_y: box.min_y, max_x: box.max_x, max_y: box.max_y} : {}
  end
end
