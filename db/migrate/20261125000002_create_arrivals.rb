# frozen_string_literal: true

class CreateArrivals < ActiveRecord::Migration[7.2]
  def change
    create_table :arrivals do |t|
      t.references :book, null: false, foreign_key: {on_delete: :cascade}
      t.string :name, null: false
      t.string :path
      t.bigint :bytes, null: false, default: 0
      t.string :state, limit: 20, null: false, default: "inspecting"
      t.json :report, null: false
      t.json :choice, null: false
      t.json :remarks, null: false
      t.integer :done, :total, null: false, default: 0
      t.text :reason
      t.timestamps
    end
    add_column :layers, :arrival_id, :bigint
  end
end
