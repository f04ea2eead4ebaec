# frozen_string_literal: true

module App
  # Writes many features as they came at once. Active Record's own insert_all costs several times as much as the
  # database needs for a row; every value is quoted here by the connection or is hexadecimal.
  module FeatureRows
    # Bytes of SQL in one statement, well below the server's usual max_allowed_packet of 16 MB.
    LARGEST = 6 * 1024**2
    HEAD = "INSERT INTO features (layer_id, identity, original, properties) VALUES "

    module_function

    # originals: as the reader yields them, with identities that rise.
    def insert(layer, originals)
      connection = ActiveRecord::Base.connection
      sql = +""
      originals.each do |original|
        row = row(connection, layer.id.to_i, original)
        if !sql.empty? && sql.bytesize + row.bytesize > LARGEST
          connection.execute(HEAD + sql)
          sql = +""
        end
        sql << (sql.empty? ? "" : ",") << row
      end
      connection.execute(HEAD + sql) unless sql.empty?
    end

    def row(connection, layer_id, original) =
      "(#{layer_id},#{original.id.to_i},x'#{original.wkb.unpack1("H*")}'," \
        "#{connection.quote(JSON.generate(original.attributes))})"
  end
end
