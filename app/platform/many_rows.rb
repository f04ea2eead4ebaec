# frozen_string_literal: true

module App
  # Inserts many rows, several in a statement. Active Record's own insert_all costs several times as much as the
  # database needs for a row.
  class ManyRows
    # table: with its columns, "features (layer_id, …)"; largest: bytes of SQL in one statement, well below the server's
    # usual max_allowed_packet of 16 MB.
    def initialize(table, largest:)
      @head, @largest, @sql = "INSERT INTO #{table} VALUES ", largest, +""
    end

    # row: SQL of whole numbers and hexadecimal, which need no quoting; it is empty afterwards, since what is large is
    # found to be unused long after. Returns whether rows were sent.
    def add(row)
      full = !@sql.empty? && @sql.bytesize + row.bytesize > @largest
      finish if full
      @sql << (@sql.empty? ? @head : ",") << "(" << row << ")"
      row.clear
      full
    end

    # Sends what is left.
    def finish
      ActiveRecord::Base.connection.execute(@sql) unless @sql.empty?
      @sql.clear
    end
  end
end
