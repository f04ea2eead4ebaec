# frozen_string_literal: true

# The changes of a book stand in one row, each with a place of its own; the book says up to which place they are
# done. So none can be undone below one that is done, whatever runs at once.
class EditsInAChain < ActiveRecord::Migration[7.2]
  def up
    add_column :books, :edit_position, :integer, null: false, default: 0
    add_column :edits, :position, :integer
    # Whose change it was: of a browser; empty for nobody's, which anyone may undo.
    %i[edits arrivals reprojections].each { |table| add_column table, :session, :string, limit: 64 }
    # Undone ones below a done one could not be done again.
    execute(
      "DELETE edits FROM edits JOIN (SELECT book_id, MAX(id) AS last FROM edits WHERE undone = 0 GROUP BY book_id) " \
      "done ON done.book_id = edits.book_id WHERE edits.undone = 1 AND edits.id < done.last"
    )
    execute(
      "UPDATE edits JOIN (SELECT id, ROW_NUMBER() OVER (PARTITION BY book_id ORDER BY id) AS place FROM edits) " \
      "placed ON placed.id = edits.id SET edits.position = placed.place"
    )
    execute(
      "UPDATE books SET edit_position = COALESCE((SELECT MAX(position) FROM edits WHERE edits.book_id = books.id AND " \
      "edits.undone = 0), 0)"
    )
    change_column_null :edits, :position, false
    remove_column :edits, :undone
    add_index :edits, %i[book_id position], unique: true
  end

  def down = raise(ActiveRecord::IrreversibleMigration)
end
