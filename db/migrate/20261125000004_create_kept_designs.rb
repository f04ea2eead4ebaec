# frozen_string_literal: true

class CreateKeptDesigns < ActiveRecord::Migration[7.2]
  def change
    create_table :kept_designs do |t|
      t.string :name, limit: 200, null: false
      t.json :layout, null: false
      t.json :markers
      t.timestamps
      t.index :name, unique: true
    end
  end
end
