# frozen_string_literal: true

class CreateBooks < ActiveRecord::Migration[7.2]
  def change
    create_table :books do |t|
      t.string :title, null: false
      t.string :subtitle, :author, null: false, default: ""
      t.string :subject, limit: 500, null: false, default: ""
      t.text :source, null: false
      t.string :date, limit: 10, null: false, default: ""
      t.text :reference, null: false
      t.integer :revision, null: false, default: 1
      t.timestamps
    end

    create_table :layers do |t|
      t.references :book, null: false, foreign_key: {on_delete: :cascade}
      t.string :key, limit: 80, null: false
      t.string :title, null: false
      t.integer :position, null: false, default: 0
      t.boolean :visible, null: false, default: true
      t.boolean :removed, null: false, default: false
      t.json :style, null: false
      t.string :kind, limit: 10, null: false, default: "mixed"
      t.integer :feature_count, null: false, default: 0
      t.column :min_x, :double
      t.column :min_y, :double
      t.column :max_x, :double
      t.column :max_y, :double
      t.text :original_reference
      t.string :original_name
      t.timestamps
      t.index %i[book_id key], unique: true
    end

    create_table :features do |t|
      t.references :layer, null: false, foreign_key: {on_delete: :cascade}, index: false
      t.integer :identity, null: false
      t.column :shape, "geometry NOT NULL"
      t.binary :original, limit: 4_294_967_295, null: false
      t.json :properties, null: false
      t.index %i[layer_id identity]
      t.index :shape, type: :spatial
    end

    create_table :layouts do |t|
      t.references :book, null: false, foreign_key: {on_delete: :cascade}
      t.string :name, null: false, default: ""
      t.json :page, null: false
      t.json :elements, null: false
      t.timestamps
    end

    create_table :grid_indices do |t|
      t.references :book, null: false, foreign_key: {on_delete: :cascade}
      t.json :settings, null: false
      t.timestamps
    end

    create_table :cells do |t|
      t.references :grid_index, null: false, foreign_key: {on_delete: :cascade}
      t.integer :number, :row, :column, null: false
      t.string :name, limit: 80, null: false
      t.column :scale, :double, null: false
      t.column :centre_x, :double, null: false
      t.column :centre_y, :double, null: false
      t.column :width, :double, null: false
      t.column :height, :double, null: false
      t.column :rotation_deg, :double, null: false, default: 0
      t.index %i[grid_index_id number], unique: true
      t.index %i[grid_index_id name], unique: true
    end

    create_table :edits do |t|
      t.references :book, null: false, foreign_key: {on_delete: :cascade}
      t.string :label, null: false
      t.column :before, :json, null: false
      t.column :after, :json, null: false
      t.boolean :undone, null: false, default: false
      t.datetime :created_at, null: false
    end

    create_table :press_runs do |t|
      t.references :book, null: false, foreign_key: {on_delete: :cascade}
      t.string :sheets, limit: 1000, null: false
      t.string :state, limit: 20, null: false, default: "waiting"
      t.integer :total, null: false, default: 0
      t.integer :revision, null: false
      t.text :reason
      t.string :file
      t.bigint :bytes
      t.json :document, null: false
      t.json :cells, null: false
      t.datetime :finished_at
      t.timestamps
    end

    create_table :press_pieces do |t|
      t.references :press_run, null: false, foreign_key: {on_delete: :cascade}
      t.integer :position, null: false
      t.json :numbers, null: false
      t.integer :done, null: false, default: 0
      t.boolean :finished, null: false, default: false
      t.binary :pages, limit: 4_294_967_295
      t.index %i[press_run_id position], unique: true
    end

    create_table :delayed_jobs do |t|
      t.integer :priority, :attempts, default: 0, null: false
      t.text :handler, null: false
      t.text :last_error
      t.datetime :run_at, :locked_at, :failed_at
      t.string :locked_by, :queue
      t.timestamps null: true
      t.index %i[priority run_at]
    end
  end
end
