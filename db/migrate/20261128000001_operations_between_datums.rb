# frozen_string_literal: true

# Which transformation a book uses between two datums, and which a change of reference leads to.
class OperationsBetweenDatums < ActiveRecord::Migration[7.2]
  def change
    add_column :books, :operations, :json
    add_column :reprojections, :operations, :json
  end
end
