# frozen_string_literal: true

# Cells are meant by an id that stays with them; their number is where they stand in the order.
class CellsWithIds < ActiveRecord::Migration[7.2]
  def up
    add_column :cells, :cell_id, :bigint
    add_column :grid_indices, :last_cell_id, :bigint, null: false, default: 0
    execute("UPDATE cells SET cell_id = number")
    execute(
      "UPDATE grid_indices SET last_cell_id = COALESCE((SELECT MAX(cell_id) FROM cells WHERE cells.grid_index_id = " \
      "grid_indices.id), 0)"
    )
    change_column_null :cells, :cell_id, false
    add_index :cells, %i[grid_index_id cell_id], unique: true
  end

  def down = raise(ActiveRecord::IrreversibleMigration)
end
