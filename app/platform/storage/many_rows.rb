# frozen_string_literal: true

module App
  # Inserts many rows, several in a statement. Active Record's own insert_all costs several times as much as the
  # database needs for a row.
  class ManyRows
    # The driver keeps a share of each statement until Ruby tidies up, and Ruby, which counts other things, would let
    # hundreds of megabytes of them lie: it is told to after so many bytes.
    TIDIED_AFTER = 64 * 1024**2

    def self.sent(bytes)
      @sent = @sent.to_i + bytes
      return if @sent < TIDIED_AFTER
      @sent = 0
      GC.start
    end

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
      return if @sql.empty?
      bytes = @sql.bytesize
      ActiveRecord::Base.connection.execute(@sql)
      @sql.clear
      self.class.sent(bytes)
    end
  end
end
