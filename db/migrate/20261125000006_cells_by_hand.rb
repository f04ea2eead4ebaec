# frozen_string_literal: true

# Cells that a fresh weave leaves alone, that were placed by hand, that were made for a feature.
class CellsByHand < ActiveRecord::Migration[7.2]
  def change
    add_column :cells, :pinned, :boolean, null: false, default: false
    add_column :cells, :moved, :boolean, null: false, default: false
    add_column :cells, :feature, :integer
  end
end
