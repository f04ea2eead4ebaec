# frozen_string_literal: true

require "app_helper"
require_relative "../../db/migrate/20261128000004_rotation_clockwise"

# Tables in which cells were rotated counter-clockwise.
RSpec.describe RotationClockwise do
  it "turns the cells of a book, of its undo and of what was printed the other way" do
    empty_database
    book = kept_book
    first, *others = book.index.core_cells
    ground = first.ground
    turned =
      first.with(
        ground:
          TileLoom::Geometry::TurnedRectangle.new(ground.centre_x, ground.centre_y, ground.width, ground.height, 12.5)
      )
    App::BookChanges.new(book).of_cells("Rotate cells") { book.index.keep([turned, *others]) }
    run =
      App::PressRun.create!(
        book: book,
        sheets: "1",
        document: book.settings,
        cells: book.index.rows,
        revision: 2,
        total: 1
      )
    ActiveRecord::Migration.suppress_messages { described_class.new.up }
    fresh = App::Book.find(book.id)
    expect(fresh.index.rows.first["rotation_deg"]).to eq(-12.5)
    expect(run.reload.printed_cells.first.ground.rotation_deg).to eq(-12.5)
    App::BookChanges.new(fresh).undo
    expect(App::Book.find(book.id).index.rows.first["rotation_deg"]).to eq(0.0)
    App::BookChanges.new(App::Book.find(book.id)).redo
    expect(App::Book.find(book.id).index.rows.first["rotation_deg"]).to eq(-12.5)
  end
end
