# frozen_string_literal: true

# Layers have a list of labels in place of one, of themselves and in the looks of a book; so have the steps of undo and
# what runs were asked for. A book keeps what was done to single labels by hand.
class LabelRules < ActiveRecord::Migration[7.2]
  UPGRADE = TileLoom::Document::Upgrade

  def up
    add_column :books, :labels_by_hand, :json
    add_column :books, :design_scale, :double
    add_column :books, :notes, :json
    rewrite_all
  end

  # Everything that is kept in the words of before.
  def rewrite_all
    rewrite("layers", "style") { |style| UPGRADE.labelled(style) }
    rewrite("books", "looks") { |looks| looks.map { |look| UPGRADE.look_labelled(look) } }
    rewrite("edits", "before") { |document| UPGRADE.label_rules(document) }
    rewrite("edits", "after") { |document| UPGRADE.label_rules(document) }
    rewrite("press_runs", "document") { |document| UPGRADE.label_rules(document) }
  end

  def down = raise(ActiveRecord::IrreversibleMigration)

  private

  # Row by row, since documents are large.
  def rewrite(table, column)
    name = connection.quote_column_name(column)
    select_values("SELECT id FROM #{table} WHERE #{name} IS NOT NULL").each do |id|
      text = select_value("SELECT #{name} FROM #{table} WHERE id = #{id.to_i}") or next
      before = JSON.parse(text) or next
      after = yield(before)
      next if after == before
      connection.exec_update(
        "UPDATE #{table} SET #{name} = #{connection.quote(JSON.generate(after))} WHERE id = #{id.to_i}"
      )
    end
  end
end
