# frozen_string_literal: true

require "app_helper"
require_relative "../../db/migrate/20261128000002_books_in_version_2"

# Tables that were kept in the words of version 1.
RSpec.describe BooksInVersion2 do
  it "puts kept documents, undo steps, designs and styles into the words of version 2" do
    book = kept_book
    App::Layout.where(book_id: book.id).update_all(
      elements:
        book.layout.elements.map { |element| element.merge("title" => "kept") } +
          [{"kind" => "scale_bar", "id" => "old", "place" => {}, "style" => "hollow", "left" => 2}]
    )
    App::GridIndex.where(book_id: book.id).update_all(
      settings: {
        "kind" => "grid",
        "area" => "area",
        "scale" => 2500,
        "room" => "10 m",
        "turn" => 12.5
      }
    )
    design = App::KeptDesign.create!(name: "old", layout: {"elements" => [{"kind" => "key_frame", "id" => "k"}]})
    style = App::KeptBarStyle.create!(name: "old", style: {"style" => "graded", "per_division" => "5 m"})
    old = {"reference" => "EPSG:25829", "layers" => [], "index" => {"room" => "1 m"}}
    edit = App::Edit.create!(book_id: book.id, position: 90, label: "old", before: old, after: old)
    ActiveRecord::Migration.suppress_messages { described_class.new.up }
    fresh = App::Book.find(book.id)
    expect(fresh.layout.elements.last).to include("style" => "outline", "extension" => 2)
    expect(fresh.index.settings).to include("buffer" => "10 m", "rotation_deg" => -12.5)
    expect(design.reload.layout["elements"][0]["kind"]).to eq("index_frame")
    expect(style.reload.style).to eq({"style" => "tapered", "division_length" => "5 m"})
    expect([edit.reload.before["crs"], edit.after["index"]]).to eq(["EPSG:25829", {"buffer" => "1 m"}])
  end
end
