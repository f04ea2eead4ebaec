# frozen_string_literal: true

module App
  # Books and runs as the browser gets them.
  module Presenter
    module_function

    def book(book)
      {
        "id" => book.id, "revision" => book.revision, "document" => book.settings,
        "reference" => reference(book), "distortion" => distortion(book), "layers" => book.layers.reject(&:removed).map { |layer| layer(layer) },
        "cells" => book.index.cells.map { |cell| cell(cell.to_core) }, "frame" => frame(book),
        "undo" => book.edits.where(undone: false).order(id: :desc).pick(:label),
        "redo" => book.edits.where(undone: true).order(:id).pick(:label),
        "sizes" => TileLoom::Layout::PageSize::ALL.keys, "designs" => TileLoom::Layout::Designs.names,
        "markers" => TileLoom::Ground::Marker::SHAPES.keys, "data_endings" => TileLoom::Ground::FileFormat::ALL.flat_map(&:endings)
      }
    end

    def reference(book)
      crs = TileLoom::Reference::Crs.find(book.reference)
      {"code" => crs.code, "name" => crs.name, "metres_per_unit" => crs.metres_per_unit, "unit" => crs.unit&.symbol || crs.unit_name}
    end

    # What the reference does to lengths over the book's ground; nothing while there is none.
    def distortion(book)
      box = book.layers.reject(&:removed).filter_map(&:extent).reduce { |all, other| all.union(other) } or return nil
      found = TileLoom::Reference::Distortion.new(TileLoom::Reference::Crs.find(book.reference), box)
      {"words" => found.in_words, "warnings" => found.warnings}
    rescue TileLoom::Invalid => error
      {"words" => "", "warnings" => [error.message]}
    end

    def layer(layer)
      {"id" => layer.key, "kind" => layer.kind, "count" => layer.feature_count, "name" => layer.original_name,
       "box" => layer.extent&.to_a, "original_reference" => layer.original_reference}
    end

    def frame(book)
      layout = TileLoom::Layout::Layout.new(book.layout.settings)
      box = layout.frame_box
      {"width_mm" => box.width.round(3), "height_mm" => box.height.round(3), "page_width_mm" => layout.page.width_mm, "page_height_mm" => layout.page.height_mm}
    end

    def cell(cell)
      {"number" => cell.number, "name" => cell.name, "row" => cell.row, "column" => cell.column, "scale" => cell.scale,
       "corners" => cell.ground.corners.each_slice(2).to_a, "centre" => [cell.ground.centre_x, cell.ground.centre_y],
       "width" => cell.ground.width, "height" => cell.ground.height}
    end

    def answer(answer)
      width, height = answer.sheet_m
      {"cells" => answer.cells.map { |found| cell(found) }, "count" => answer.cells.length, "rows" => answer.rows, "columns" => answer.columns,
       "sheet_width_m" => width, "sheet_height_m" => height, "left_out_m2" => answer.left_out_m2.round(1)}
    end

    def arrival(arrival)
      arrival.attributes.slice("id", "name", "bytes", "state", "report", "done", "total", "reason", "remarks")
    end

    def run(run)
      {"id" => run.id, "sheets" => run.sheets, "state" => run.state, "total" => run.total, "done" => (run.state == "done") ? run.total : run.done,
       "reason" => run.reason, "bytes" => run.bytes, "created_at" => run.created_at.iso8601, "finished_at" => run.finished_at&.iso8601,
       "revision" => run.revision, "ready" => run.state == "done"}
    end
  end
end
