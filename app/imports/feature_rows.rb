# frozen_string_literal: true

module App
  # Writes many features at once. Active Record's own insert_all costs several times as much as the
  # database needs for a row; every value is quoted here by the connection or is hexadecimal.
  module FeatureRows
    # Bytes of SQL in one statement, well below the server's usual max_allowed_packet of 16 MB.
    LARGEST = 6 * 1024**2
    HEAD = "INSERT INTO features (layer_id, identity, shape, original, properties) VALUES "

    module_function

    # pairs: [TileLoom::Data::Feature, original] as the reader yields them.
    def insert(layer, pairs)
      connection = ActiveRecord::Base.connection
      sql = +""
      pairs.each do |feature, original|
        row = row(connection, layer.id, feature, original)
        if !sql.empty? && sql.bytesize + row.bytesize > LARGEST
          connection.execute(HEAD + sql)
          sql = +""
        end
        sql << (sql.empty? ? "" : ",") << row
      end
      connection.execute(HEAD + sql) unless sql.empty?
    end

    def row(connection, layer_id, feature, original)
      shape = feature.wkb.unpack1("H*")
      same = feature.wkb == original.wkb
      "(#{layer_id.to_i},#{feature.id.to_i},x'#{GeometryType::PREFIX_HEX}#{shape}',x'" \
      "#{same ? shape : original.wkb.unpack1("H*")}',#{connection.quote(JSON.generate(feature.attributes))})"
    end
  end
end
