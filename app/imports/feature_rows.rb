# frozen_string_literal: true

module App
  # Writes many features as they came at once. Active Record's own insert_all costs several times as much as the
  # database needs for a row; every value is a whole number or hexadecimal here.
  module FeatureRows
    # Bytes of SQL in one statement, well below the server's usual max_allowed_packet of 16 MB.
    LARGEST = 6 * 1024**2
    HEAD = "INSERT INTO features (layer_id, identity, original, properties) VALUES "

    module_function

    # batch: a TileLoom::Data::PackedBatch, with identities that rise.
    def insert(layer, batch)
      connection = ActiveRecord::Base.connection
      sql = +""
      batch.ids.each_index do |index|
        row = row(layer.id.to_i, batch, index)
        if !sql.empty? && sql.bytesize + row.bytesize > LARGEST
          connection.execute(HEAD + sql)
          sql = +""
        end
        sql << (sql.empty? ? "" : ",") << row
      end
      connection.execute(HEAD + sql) unless sql.empty?
    end

    # Bytes as hexadecimal digits need no quoting.
    def row(layer_id, batch, index) =
      "(#{layer_id},#{batch.ids[index].to_i},x'#{batch.originals[index].unpack1("H*")}'," \
        "x'#{batch.texts[index].unpack1("H*")}')"
  end
end
