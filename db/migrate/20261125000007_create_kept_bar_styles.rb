# frozen_string_literal: true

class CreateKeptBarStyles < ActiveRecord::Migration[7.2]
  def change
    create_table :kept_bar_styles do |t|
      t.string :name, limit: 200, null: false
      t.json :style, null: false
      t.timestamps
      t.index :name, unique: true
    end
  end
end
