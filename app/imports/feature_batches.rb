# frozen_string_literal: true

module App
  # Writes the features of a layer as they came, as rows of FeatureBatch.
  class FeatureBatches
    # Bytes of SQL in one statement; a row has so many features, or fewer where they are large.
    LARGEST = 4 * 1024**2
    FEATURES, BYTES = 512, 256 * 1024
    TABLE = "feature_batches (layer_id, number, lowest, highest, feature_count, records, originals)"

    def initialize(layer)
      @layer_id = Integer(layer.id)
      @rows = ManyRows.new(TABLE, largest: LARGEST)
      @names, @number = [], 0
    end

    # batch: a TileLoom::Data::PackedBatch, of features that come after those before.
    def add(batch)
      values = arranged(batch)
      first = bytes = 0
      batch.ids.each_index do |index|
        bytes += values[index].bytesize + batch.originals[index].bytesize
        count = index + 1 - first
        next if count < FEATURES && bytes < BYTES && index + 1 < batch.length
        write(*[batch.ids, values, batch.originals].map { |list| list[first, count] })
        first, bytes = index + 1, 0
      end
    end

    # Sends what is left.
    def finish = @rows.finish

    private

    # The values of each in the order in which the fields of the layer came.
    def arranged(batch)
      @names |= batch.names
      return batch.rows if batch.names == @names.first(batch.names.length)
      TileLoom::Data::BlockAttributes.arranged(batch.rows, [batch.names] * batch.length, @names)
    end

    def write(ids, values, originals)
      numbers = [@layer_id, @number, *ids.minmax, ids.length].map { |number| Integer(number) }
      @number += 1
      parts = [records(ids, values), FeatureBatch.packed(originals)]
      texts = parts.map { |bytes| bytes.unpack1("H*") }
      @rows.add("#{numbers.join(",")},x'#{texts[0]}',x'#{texts[1]}'")
      # What is large is found to be unused long after.
      [*parts, *texts].each(&:clear)
    end

    # A JSON list of each: its identity, then its values.
    def records(ids, values)
      lists = ids.zip(values).map { |id, own| (own == "[]") ? "[#{id}]" : "[#{id},#{own.byteslice(1..)}" }
      "[#{lists.join(",")}]"
    end
  end
end
