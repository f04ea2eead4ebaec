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
    def self.of(layer, level = 0, edition: layer.edition) = where(layer_id: layer.id, edition: edition, level: level)

    # Bytes of SQL in one statement, well below the server's usual max_allowed_packet of 16 MB.
    LARGEST = 4 * 1024**2
    HEAD =
      "INSERT INTO feature_blocks (layer_id, edition, level, number, feature_count, min_x, min_y, max_x, max_y, bytes) " \
        "VALUES "

    # Keeps what a TileLoom::Data::BlockBuilder builds, several in a statement. Yields the count of features so far.
    def self.keep(layer, built, level: 0, edition: layer.edition)
      done, rows, size = 0, [], 0
      TileLoom::Data::ReadAhead
        .new(built)
        .each do |block|
          rows << row([layer.id, edition, block.level || level, block.number, block.count], block)
          done += block.count unless block.level
          next if (size += rows.last.bytesize) < LARGEST
          connection.execute(HEAD + rows.join(","))
          rows, size = [], 0
          yield done if block_given?
        end
      connection.execute(HEAD + rows.join(",")) if rows.any?
    end

    # Numbers, and bytes as hexadecimal digits, need no quoting.
    def self.row(numbers, block) =
      "(#{numbers.map { |number| Integer(number) }.join(",")}," \
        "#{block.box.to_a.map { |side| Float(side) }.join(",")},x'#{block.bytes.unpack1("H*")}')"
    private_class_method :row
  end
end
