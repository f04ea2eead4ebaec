# frozen_string_literal: true

# Where a text says which of several is meant, Å is not A and one picture sign not another.
class NamesToTheLetter < ActiveRecord::Migration[7.2]
  NAMES = {
    cells: {
      name: 80
    },
    layers: {
      key: 80
    },
    kept_designs: {
      name: 200
    },
    kept_bar_styles: {
      name: 200
    },
    kept_references: {
      name: 200
    },
    arrivals: {
      replaces: 80
    }
  }.freeze

  def up
    NAMES.each do |table, columns|
      columns.each do |name, limit|
        change_column table, name, :string, limit: limit, null: (table == :arrivals), collation: "utf8mb4_bin"
      end
    end
  end

  def down = raise(ActiveRecord::IrreversibleMigration)
end
