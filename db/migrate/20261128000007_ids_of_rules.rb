# frozen_string_literal: true

# Rules of layers have ids, by which edits of legends know them; books have a description and fields of their own.
class IdsOfRules < ActiveRecord::Migration[7.2]
  # The rows of before, as they are.
  class Row < ActiveRecord::Base
    self.table_name = "layers"
    attribute :style, :json
  end

  def up
    add_column :books, :description, :text
    add_column :books, :fields, :json
    Row.find_each do |row|
      rules = row.style && row.style["rules"] or next
      row.update_columns(style: row.style.merge("rules" => TileLoom::Symbology::RuleIds.filled(rules)))
    end
  end

  def down
    remove_column :books, :fields
    remove_column :books, :description
  end
end
