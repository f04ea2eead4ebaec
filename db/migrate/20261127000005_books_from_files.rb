# frozen_string_literal: true

# A file may arrive before there is a book; a book that is being made of one is not listed yet.
class BooksFromFiles < ActiveRecord::Migration[7.2]
  def up
    change_column_null :arrivals, :book_id, true
    add_column :books, :making, :boolean, null: false, default: false
  end

  def down = raise(ActiveRecord::IrreversibleMigration)
end
