# frozen_string_literal: true

# Orders, palette and language of books; runs of any form, each with its files.
class FormsOfThePress < ActiveRecord::Migration[7.2]
  def up
    change_table :books do |t|
      t.json :palette
      t.json :orders
      t.json :profiles
      t.string :language, limit: 80
    end
    change_table :press_runs do |t|
      t.json :order_given
      t.json :names
      t.json :told
      t.json :later
      t.string :title, limit: 200
      t.string :asked_by, limit: 64
      t.string :asked_from, limit: 64
      t.text :secrets
      t.string :printing, limit: 500
    end
    change_table :press_pieces do |t|
      t.json :told
      t.json :missing
    end
    create_table :press_files do |t|
      t.references :press_run, null: false, foreign_key: {on_delete: :cascade}
      t.integer :position, null: false
      t.string :name, limit: 255, null: false
      t.string :place, limit: 255, null: false
      t.string :media, limit: 100, null: false
      t.bigint :bytes, null: false
      t.string :sha256, limit: 64
      t.index %i[press_run_id name], unique: true
    end
    execute <<~SQL
      INSERT INTO press_files (press_run_id, position, name, place, media, bytes)
      SELECT id, 0, file, file, 'application/pdf', COALESCE(bytes, 0) FROM press_runs
      WHERE state = 'done' AND file IS NOT NULL
    SQL
    move_files
    # Their finished pages are of another shape than those to come.
    execute <<~SQL
      UPDATE press_runs SET state = 'failed', reason = 'Tile Loom was updated while it ran; export it again.'
      WHERE state IN ('waiting', 'running')
    SQL
    execute "UPDATE press_pieces SET pages = NULL"
    execute "DELETE FROM delayed_jobs WHERE handler LIKE '%PressPieceJob%'"
    remove_column :press_runs, :file
    remove_column :press_runs, :bytes
  end

  # From the store's own folder to where finished files are kept.
  def move_files
    select_values("SELECT place FROM press_files").each do |place|
      old = File.join(App::Store.folder, place)
      next unless File.file?(old)
      File.open(old, "rb") { |io| App::Finished.keep(io, place) }
      File.delete(old)
    end
  end

  def down
    add_column :press_runs, :file, :string
    add_column :press_runs, :bytes, :bigint
    execute <<~SQL
      UPDATE press_runs SET
        file = (SELECT place FROM press_files WHERE press_run_id = press_runs.id AND media = 'application/pdf' LIMIT 1),
        bytes = (SELECT bytes FROM press_files WHERE press_run_id = press_runs.id AND media = 'application/pdf' LIMIT 1)
    SQL
    drop_table :press_files
    remove_columns :press_pieces, :told, :missing
    remove_columns :press_runs, :order_given, :names, :told, :later, :title, :asked_by, :asked_from, :secrets, :printing
    remove_columns :books, :palette, :orders, :profiles, :language
  end
end
