# frozen_string_literal: true

# Kept documents, layouts, indexes, styles of layers and of scale bars in the words of version 2 of the book format; so
# are the steps of undo and what runs were asked for. Work that was under way by the old words is dropped.
class BooksInVersion2 < ActiveRecord::Migration[7.2]
  UPGRADE = TileLoom::Document::Upgrade

  def up
    rewrite("layers", "style") { |style| UPGRADE.layer(style) }
    rewrite("layouts", "elements") { |elements| elements.map { |element| UPGRADE.element(element) } }
    rewrite("grid_indices", "settings") { |index| UPGRADE.index(index) }
    rewrite("edits", "before") { |document| document(document) }
    rewrite("edits", "after") { |document| document(document) }
    rewrite("press_runs", "document") { |document| document(document) }
    rewrite("kept_designs", "layout") { |layout| UPGRADE.layout(layout) }
    rewrite("kept_bar_styles", "style") { |style| UPGRADE.bar(style) }
    execute "DELETE FROM weavings" if table_exists?(:weavings)
  end

  def down = raise(ActiveRecord::IrreversibleMigration)

  private

  # Documents of undo may have been kept without their version.
  def document(document) = document && UPGRADE.book({"version" => UPGRADE::FROM}.merge(document))

  # Row by row, since documents are large.
  def rewrite(table, column)
    name = connection.quote_column_name(column)
    select_values("SELECT id FROM #{table}").each do |id|
      text = select_value("SELECT #{name} FROM #{table} WHERE id = #{id.to_i}") or next
      json = JSON.generate(yield(JSON.parse(text)))
      connection.exec_update("UPDATE #{table} SET #{name} = #{connection.quote(json)} WHERE id = #{id.to_i}")
    end
  end
end
