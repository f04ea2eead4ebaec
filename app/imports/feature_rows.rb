# frozen_string_literal: true

module App
  # Writes many features as they came at once.
  module FeatureRows
    # Bytes of SQL in one statement.
    LARGEST = 6 * 1024**2
    TABLE = "features (layer_id, identity, original, properties)"

    module_function

    # batch: a TileLoom::Data::PackedBatch, with identities that rise.
    def insert(layer, batch)
      rows = ManyRows.new(TABLE, largest: LARGEST)
      batch.ids.each_index { |index| rows.add(row(layer.id.to_i, batch, index)) }
      rows.finish
    end

    def row(layer_id, batch, index) =
      "#{layer_id},#{batch.ids[index].to_i},x'#{batch.originals[index].unpack1("H*")}'," \
        "x'#{batch.texts[index].unpack1("H*")}'"
  end
end
