# frozen_string_literal: true

# Cells are rotated clockwise, as everything is; they were kept counter-clockwise, in their table, with changes that can
# be undone, with changes of the CRS, and with what was printed.
class RotationClockwise < ActiveRecord::Migration[7.2]
  def up = turn

  # The other way is the same.
  def down = turn

  private

  def turn
    execute "UPDATE cells SET rotation_deg = 0 - rotation_deg"
    rewrite("edits", "cells") do |bytes|
      kept = JSON.parse(Zlib::Inflate.inflate(bytes))
      Zlib::Deflate.deflate(JSON.generate(kept.merge("rows" => kept["rows"].map { |rows| turned(rows) })))
    end
    {"reprojections" => %w[cells_before cells_after], "press_runs" => %w[cells]}.each do |table, columns|
      columns.each { |column| rewrite(table, column) { |text| JSON.generate(turned(JSON.parse(text))) } }
    end
  end

  def turned(rows) = rows.map { |row| row.merge("rotation_deg" => 0.0 - row["rotation_deg"].to_f) }

  # Row by row, since they are large.
  def rewrite(table, column)
    name = connection.quote_column_name(column)
    select_values("SELECT id FROM #{table} WHERE #{name} IS NOT NULL").each do |id|
      kept = select_value("SELECT #{name} FROM #{table} WHERE id = #{id.to_i}")
      fresh = yield(kept)
      value = (fresh.encoding == Encoding::BINARY) ? "x'#{fresh.unpack1("H*")}'" : connection.quote(fresh)
      connection.exec_update("UPDATE #{table} SET #{name} = #{value} WHERE id = #{id.to_i}")
    end
  end
end
