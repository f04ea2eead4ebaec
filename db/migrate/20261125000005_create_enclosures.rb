# frozen_string_literal: true

# Typefaces and pictures that books carry; layouts by what they are for, with guides; which cells a change
# moved, and what an index was woven with.
class CreateEnclosures < ActiveRecord::Migration[7.2]
  def change
    create_table :enclosures do |t|
      t.string :content, limit: 64, null: false
      t.string :media, limit: 40, null: false
      t.binary :bytes, limit: 4_294_967_295, null: false
      t.datetime :created_at, null: false
      t.index :content, unique: true
    end

    %i[books kept_designs].each do |table|
      add_column table, :faces, :json
      add_column table, :pictures, :json
    end
    add_column :books, :edition, :string, limit: 200, null: false, default: ""
    add_column :layouts, :guides, :json
    add_column :layouts, :role, :string, limit: 10, null: false, default: "sheets"
    add_column :edits, :cells, :binary, limit: 4_294_967_295
    add_column :grid_indices, :woven, :json
    add_column :cells, :kept, :boolean, null: false, default: false
  end
end
