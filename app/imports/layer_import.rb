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
      count, kind = store(reader, layer, &progress)
      if count.zero?
        trouble = reader.refused.first or raise TileLoom::Refusal.new("imports.file_without_geometry")
        raise TileLoom::Refusal.new("imports.nothing_read", trouble: trouble)
      end
      layer.update!(feature_count: count, kind: kind)
      WorkQueue.put(:coarse_levels, layer.id, turn: Turn::COARSE) if CoarseLevels.new(layer).wanted?
      layer
    end

    private

    PROCESSES = TileLoom::Data::SharedReading::PROCESSES
    private_constant :PROCESSES

    # [how many came, their kind]. The blocks are built when all are there.
    def store(reader, layer)
      blocks = TileLoom::Data::BlockBuilder.new(processes: PROCESSES)
      rows = FeatureBatches.new(layer)
      types = TileLoom::Data::AttributeTypes.new
      count, kinds, vertices = 0, [], 0
      TileLoom::Data::ReadAhead
        .new(reader.to_enum(:each_packed, processes: PROCESSES))
        .each do |batch|
          rows.add(batch)
          blocks.add_batch(batch)
          types.merge(batch.types)
          count += batch.length
          vertices += batch.vertices
          kinds |= batch.kinds
          yield count if block_given?
        end
      rows.finish
      FeatureBlock.keep(layer, blocks) { yield count if block_given? }
      layer.update!(vertex_count: vertices, fields: types.to_h, **Layer.bounds(blocks.box))
      [count, TileLoom::Symbology::LayerKinds.of_types(kinds).key]
    end
  end
end
