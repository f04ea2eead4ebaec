# frozen_string_literal: true

# How often a job's worker ended over it; why a piece of a run was set aside; long work on an index.
class WorkInTurn < ActiveRecord::Migration[7.2]
  def up
    add_column :delayed_jobs, :deaths, :integer, null: false, default: 0
    add_column :press_pieces, :reason, :text

    create_table :weavings do |t|
      t.references :book, null: false, foreign_key: {on_delete: :cascade}
      t.string :state, limit: 20, null: false, default: "waiting"
      t.string :purpose, limit: 20, null: false
      # What was asked: a patch, a label, the revision that it was made on.
      t.json :wanted, null: false
      t.string :session, limit: 64
      t.integer :done, :total, null: false, default: 0
      t.text :reason
      # When somebody last asked how far it is.
      t.datetime :asked_at, null: false
      t.binary :result, limit: 4_294_967_295
      t.timestamps
    end
  end

  def down = raise(ActiveRecord::IrreversibleMigration)
end
