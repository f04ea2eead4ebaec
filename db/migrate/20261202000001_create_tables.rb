# frozen_string_literal: true

# All tables. Names that say which of several is meant are compared to the letter (utf8mb4_bin): Å is not A and one
# picture sign not another.
class CreateTables < ActiveRecord::Migration[7.2]
  TO_THE_LETTER = {collation: "utf8mb4_bin"}.freeze

  def change
    books
    data
    index
    changes
    press
    kept_for_any_book
    work
  end

  private

  # The document is the book; title, subtitle and reference (a CRS) are as it has them: see App::Book::DERIVED.
  def books
    create_table :books do |t|
      t.json :document, null: false
      t.string :title, :subtitle, null: false
      t.text :reference, null: false
      t.integer :revision, null: false, default: 1
      # The last of its edits.
      t.integer :edit_position, null: false, default: 0
      # Being made of a file; not listed yet.
      t.boolean :making, null: false, default: false
      # When somebody last opened it; since when it lies in the bin, if it does.
      t.datetime :opened_at, :binned_at
      t.timestamps
    end

    # Typefaces, pictures and profiles that books carry, once for each content.
    create_table :enclosures do |t|
      t.string :content, limit: 64, null: false
      t.string :media, limit: 40, null: false
      t.binary :bytes, limit: 4_294_967_295, null: false
      t.datetime :created_at, null: false
      t.index :content, unique: true
    end
  end

  def data
    # removed: no entry of the book's document names it.
    create_table :layers do |t|
      t.references :book, null: false, foreign_key: {on_delete: :cascade}
      t.string :key, limit: 80, null: false, **TO_THE_LETTER
      t.integer :version, null: false, default: 1
      t.boolean :removed, null: false, default: false
      t.string :kind, limit: 10, null: false, default: "mixed"
      t.integer :feature_count, null: false, default: 0
      t.bigint :vertex_count, null: false, default: 0
      # Rises whenever its features are drawn in another reference.
      t.integer :edition, null: false, default: 1
      bounds(t)
      t.json :fields, :coarse_levels, :raster
      t.text :original_reference
      t.string :original_name
      # Of pixels, what was said of their file as it came in: as the data of a document's layer.
      t.json :source
      t.bigint :arrival_id
      t.timestamps
      t.index %i[book_id key version], unique: true
    end

    # Features as they came, some hundred to a row (App::FeatureBatch). What is drawn of them lies in blocks.
    create_table :feature_batches, primary_key: %i[layer_id number] do |t|
      t.bigint :layer_id, :lowest, :highest, null: false
      t.integer :number, :feature_count, null: false
      t.text :records, limit: 4_294_967_295, null: false
      t.binary :originals, limit: 4_294_967_295, null: false
      t.foreign_key :layers, on_delete: :cascade
    end

    # Features of a layer that lie together, packed in the book's reference (TileLoom::Data::Block). edition: of the
    # layer that they are drawn in; level: 0 for all as it is, above it drawn coarsely, for maps that are zoomed out
    # (App::CoarseLevels).
    create_table :feature_blocks, primary_key: %i[layer_id edition level number] do |t|
      t.bigint :layer_id, null: false
      t.integer :edition, :level, :number, :feature_count, null: false
      bounds(t)
      t.binary :bytes, limit: 4_294_967_295, null: false
      t.foreign_key :layers, on_delete: :cascade
    end

    # A file that came in; it may be there before its book.
    create_table :arrivals do |t|
      t.references :book, foreign_key: {on_delete: :cascade}
      t.string :name, null: false
      t.string :path
      t.bigint :bytes, null: false, default: 0
      t.string :state, limit: 20, null: false, default: "inspecting"
      t.json :report, :choice, :remarks, null: false
      t.integer :done, :total, null: false, default: 0
      t.text :reason
      t.string :replaces, limit: 80, **TO_THE_LETTER
      t.string :session, limit: 64
      t.timestamps
    end
  end

  def bounds(table) = %i[min_x min_y max_x max_y].each { |side| table.column side, :double }

  def index
    create_table :grid_indices do |t|
      t.references :book, null: false, foreign_key: {on_delete: :cascade}
      t.json :generated_with
      t.bigint :last_cell_id, null: false, default: 0
      t.timestamps
    end

    # A cell is meant by its cell_id, which stays with it; its number is where it stands in the order.
    create_table :cells do |t|
      t.references :grid_index, null: false, foreign_key: {on_delete: :cascade}
      t.bigint :cell_id, null: false
      t.integer :number, :row, :column, null: false
      t.string :name, limit: 80, null: false, **TO_THE_LETTER
      %i[scale centre_x centre_y width height].each { |measure| t.column measure, :double, null: false }
      t.column :rotation_deg, :double, null: false, default: 0
      t.boolean :kept, :pinned, :moved, null: false, default: false
      t.integer :feature
      %i[cell_id number name].each { |own| t.index [:grid_index_id, own], unique: true }
    end
  end

  def changes
    # The history of a book: every change, undo and redo, never rewritten but where old ones are merged. session: of the
    # browser whose change it was; empty for nobody's, which anyone may undo. about: the position of the change that
    # this one undoes or redoes. state: whether the change stands (App::Edit). steps: how many were merged into it;
    # began_at: when the first of them was made.
    create_table :edits do |t|
      t.references :book, null: false, foreign_key: {on_delete: :cascade}, index: false
      t.integer :position, null: false
      t.string :label, null: false
      t.json :operations, :inverse, :touched, null: false
      t.binary :cells, limit: 4_294_967_295
      t.string :session, limit: 64
      t.integer :about
      t.string :state, limit: 10, null: false
      t.integer :steps, null: false, default: 1
      t.datetime :began_at, :created_at, null: false
      t.index %i[book_id position], unique: true
      t.index %i[book_id state position]
    end

    # The book as it was behind an edit, so that a look back does not go through all of them.
    create_table :book_states do |t|
      t.references :book, null: false, foreign_key: {on_delete: :cascade}, index: false
      t.integer :position, null: false
      t.binary :packed, limit: 4_294_967_295, null: false
      t.index %i[book_id position], unique: true
    end

    # States of a book that somebody named.
    create_table :named_versions do |t|
      t.references :book, null: false, foreign_key: {on_delete: :cascade}, index: false
      t.integer :position, null: false
      t.string :name, limit: 200, null: false, **TO_THE_LETTER
      t.datetime :created_at, null: false
      t.index %i[book_id name], unique: true
    end

    # A change of the book's reference or of a transformation between datums.
    create_table :reprojections do |t|
      t.references :book, null: false, foreign_key: {on_delete: :cascade}
      t.text :target, null: false
      t.json :operations
      t.string :state, limit: 20, null: false, default: "waiting"
      t.integer :done, :total, null: false, default: 0
      t.text :reason
      t.bigint :edit_id
      t.string :direction, limit: 10, null: false, default: "forward"
      t.integer :position
      t.string :label, limit: 200
      t.string :session, limit: 64
      t.timestamps
    end
  end

  def press
    # document, cells: the book as it was when the run was asked for, behind the edit of that position.
    create_table :press_runs do |t|
      t.references :book, null: false, foreign_key: {on_delete: :cascade}
      t.string :title, limit: 200
      t.string :sheets, limit: 1000, null: false
      t.json :order_given, null: false
      t.json :names, :notices
      t.string :state, limit: 20, null: false, default: "waiting"
      t.integer :total, null: false, default: 0
      t.integer :revision, :position, null: false
      t.text :reason
      t.json :document, :cells, null: false
      t.json :later
      t.text :secrets
      t.string :asked_by, :asked_from, limit: 64
      t.string :printing, limit: 500
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
      t.text :reason
      t.json :notices, :missing
      t.index %i[press_run_id position], unique: true
    end

    create_table :press_files do |t|
      t.references :press_run, null: false, foreign_key: {on_delete: :cascade}
      t.integer :position, null: false
      t.string :name, :place, null: false
      t.string :media, limit: 100, null: false
      t.bigint :bytes, null: false
      t.string :sha256, limit: 64
      t.index %i[press_run_id name], unique: true
    end
  end

  def kept_for_any_book
    kept(:kept_designs) do |t|
      t.json :layout, null: false
      t.json :markers, :faces, :pictures
    end
    kept(:kept_bar_styles) { |t| t.json :style, null: false }
    kept(:kept_references) { |t| t.text :definition, null: false }
  end

  def kept(table)
    create_table table do |t|
      t.string :name, limit: 200, null: false, **TO_THE_LETTER
      yield t
      t.timestamps
      t.index :name, unique: true
    end
  end

  def work
    # Long work on an index, asked for and looked at by a browser.
    create_table :index_runs do |t|
      t.references :book, null: false, foreign_key: {on_delete: :cascade}
      t.string :state, limit: 20, null: false, default: "waiting"
      t.string :purpose, limit: 20, null: false
      t.json :wanted, null: false
      t.string :session, limit: 64
      t.integer :done, :total, null: false, default: 0
      t.text :reason
      t.datetime :asked_at, null: false
      t.binary :result, limit: 4_294_967_295
      t.timestamps
    end

    # deaths: how often a worker ended over it.
    create_table :delayed_jobs do |t|
      t.integer :priority, :attempts, :deaths, null: false, default: 0
      t.text :handler, null: false
      t.text :last_error
      t.datetime :run_at, :locked_at, :failed_at
      t.string :locked_by
      # Which work it is (App::JobList), and the row that it works on.
      t.string :queue
      t.bigint :subject_id
      t.timestamps null: true
      t.index %i[priority run_at]
      t.index %i[queue subject_id]
    end
  end
end
