# frozen_string_literal: true

# A book has pages beside its sheets. Frames of the index have the look of their cells in one place.
class PagesAndFrames < ActiveRecord::Migration[7.2]
  # The rows of before, as they are.
  class Row < ActiveRecord::Base
    self.table_name = "layouts"
    attribute :elements, :json
  end

  def up
    add_column :books, :pages, :json
    add_column :books, :index_pages, :json
    Row.find_each do |row|
      fresh = row.elements.map { |element| TileLoom::Document::Upgrade.cells_of(element) }
      row.update_columns(elements: fresh) unless fresh == row.elements
    end
  end

  def down
    remove_column :books, :index_pages
    remove_column :books, :pages
  end
end
