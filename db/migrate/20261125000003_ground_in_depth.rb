# frozen_string_literal: true

class GroundInDepth < ActiveRecord::Migration[7.2]
  def change
    add_column :books, :markers, :json
    add_column :layers, :fields, :json
    add_column :layers, :edition, :integer, null: false, default: 1
    add_column :layers, :vertex_count, :bigint, null: false, default: 0
    add_column :layers, :coarse_levels, :json
    remove_index :layers, %i[book_id key], unique: true
    add_index :layers, %i[book_id key edition], unique: true
    add_column :arrivals, :replaces, :string, limit: 80

    # Geometry drawn coarsely, for maps that are zoomed out; see App::CoarseLevels.
    create_table :coarse_features do |t|
      t.references :layer, null: false, foreign_key: {on_delete: :cascade}, index: false
      t.integer :level, :identity, null: false
      t.column :shape, "geometry NOT NULL"
      t.json :properties, null: false
      t.index %i[layer_id level]
      t.index :shape, type: :spatial
    end

    create_table :reprojections do |t|
      t.references :book, null: false, foreign_key: {on_delete: :cascade}
      t.text :target, null: false
      t.string :state, limit: 20, null: false, default: "waiting"
      t.integer :done, :total, null: false, default: 0
      t.text :reason
      t.bigint :edit_id
      t.string :direction, limit: 10, null: false, default: "forward"
      t.json :cells_before, :cells_after
      t.timestamps
    end

    create_table :reprojected_shapes do |t|
      t.references :reprojection, null: false, foreign_key: {on_delete: :cascade}
      t.bigint :feature_id, null: false
      t.column :shape, "geometry NOT NULL"
    end

    create_table :kept_references do |t|
      t.string :name, limit: 200, null: false
      t.text :definition, null: false
      t.timestamps
      t.index :name, unique: true
    end

    reversible { |direction| direction.up { count_vertices } }
  end

  # Layers that came in before learn how large they are, and get their coarser levels.
  def count_vertices
    execute(
      "UPDATE layers SET vertex_count = COALESCE((SELECT SUM(LENGTH(original)) DIV 16 FROM features WHERE " \
      "features.layer_id = layers.id), 0)"
    )
    App::Layer.reset_column_information
    App::Layer.find_each do |layer|
      Delayed::Job.enqueue(App::CoarseLevelsJob.new(layer.id)) if App::CoarseLevels.new(layer).wanted?
    end
  end
end
