# frozen_string_literal: true

module App
  # Features of a layer that lie together, packed as they are drawn (TileLoom::Data::Block): at level 0 as they are,
  # above it drawn coarsely.
  class FeatureBlock < ActiveRecord::Base
    self.primary_key = %i[layer_id edition level number]

    belongs_to :layer

    # The level of some of the features of a large layer, for a first look.
    FEW = TileLoom::Data::BlockBuilder::FEW

    # Those of a layer as it is drawn now.
    def self.of(layer, level = 0) = where(layer_id: layer.id, edition: layer.edition, level: level)

    # Bytes of SQL in one statement.
    LARGEST = 4 * 1024**2
    TABLE = "feature_blocks (layer_id, edition, level, number, feature_count, min_x, min_y, max_x, max_y, bytes)"

    # Keeps what a TileLoom::Data::BlockBuilder builds. Yields the count of features so far.
    def self.keep(layer, built, level: 0, edition: layer.edition)
      rows, done = ManyRows.new(TABLE, largest: LARGEST), 0
      TileLoom::Data::ReadAhead
        .new(built)
        .each do |block|
          sent = rows.add(row([layer.id, edition, block.level || level, block.number, block.count], block))
          done += block.count unless block.level
          yield done if sent && block_given?
        end
      rows.finish
    end

    # The bytes of the block are given back at once (see ManyRows#add).
    def self.row(numbers, block)
      hex = block.bytes.unpack1("H*")
      row =
        "#{numbers.map { |number| Integer(number) }.join(",")}," \
          "#{block.box.to_a.map { |side| Float(side) }.join(",")},x'#{hex}'"
      [hex, block.bytes].each(&:clear)
      row
    end
    private_class_method :row
  end
end
