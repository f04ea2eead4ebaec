# frozen_string_literal: true

module App
  module Routes
    # Cells by hand, what they cover, and cells as files.
    class Cells < Base
      # {"do": what, "cells": their ids, "seen": up to where in its history the book was seen, or "revision": the one
      # that it must still have, ...}: see TileLoom::Index::Handwork.
      DEEDS = {
        "move" => "Move cells",
        "rotate" => "Rotate cells",
        "scale" => "Scale of cells",
        "pin" => "Pin cells",
        "remove" => "Remove cells",
        "add" => "Add a cell",
        "split" => "Split a cell",
        "rename" => "Rename a sheet",
        "place" => "Order of sheets"
      }.freeze

      post "/api/books/:book_id/cells" do
        wanted = body_json
        deed = wanted["do"].to_s
        changes.of_cells(label(deed, wanted), revision: wanted["revision"]) do
          SeenCells.new(book, wanted["seen"], session_id).demand(Array(wanted["cells"])) if wanted["seen"]
          handwork = book.handwork
          cells = done(handwork, deed, wanted)
          book.order_by_hand if deed == "place"
          book.index.keep(cells)
        end
        json(shown(book))
      end

      # What lies between cells in the hand and those beside them, moved by dx and dy on the ground or not yet; by which
      # shifts their edges meet. In sentences and in ground units.
      post "/api/books/:book_id/cells/beside" do
        wanted = body_json
        alignment = alignment(wanted["cells"])
        dx, dy = wanted.fetch("dx", 0), wanted.fetch("dy", 0)
        json(
          {
            "moved" => alignment.moved(dx, dy),
            "gaps" => alignment.gaps(dx, dy).map(&:to_s),
            "shifts" => alignment.shifts,
            "round" => alignment.round
          }
        )
      end

      # What the kept cells leave out, show twice, hardly show: pieces with their boxes.
      get("/api/books/:book_id/cover") { generated("cover", {}) { json(Coverage.new(book).of_area) } }

      # How the features of layers fall on the cells.
      get "/api/books/:book_id/cover/:key" do
        layer = Layer.find_by!(book_id: book.id, key: params["key"].to_s, removed: false)
        generated("features", {"layer" => layer.key}) { json(Coverage.new(book).of_layer(layer)) }
      end

      get "/api/books/:book_id/cells/file" do
        snapshot = Snapshot.of(book)
        cells = TileLoom::Document::CellFile.new(snapshot.document)
        file = cells.written(params["format"].to_s)
        attachment(file.name)
        content_type file.type
        file.make(cells.features(snapshot.cells)) { |path| File.binread(path) }
      end

      post "/api/books/:book_id/cells/file" do
        upload = uploaded_file
        Dir.mktmpdir("tile-loom-cells") do |folder|
          path = File.join(folder, "cells#{File.extname(upload[:name]).downcase[/\A\.[a-z]{1,8}\z/]}")
          FileUtils.cp(upload[:tempfile].path, path)
          file = TileLoom::Document::CellFile.new(Book.core(book.document))
          features = file.features_of(path)
          changes.of_cells("Cells of #{upload[:name]}") do
            book.index.keep(file.cells(features), with: IndexState.new(book).now)
          end
        end
        json(shown(book.reload))
      end

      private

      # So many names are listed in the history.
      MOST_NAMED = 3

      # "Move cells: E1, E2, E3 and 4 more"
      def label(deed, wanted)
        ids = Array(wanted["cells"])
        names = book.index.rows.select { |row| ids.include?(row["cell_id"]) }.map { |row| row["name"] }
        return DEEDS[deed] if names.empty?
        more = names.length - MOST_NAMED
        "#{DEEDS[deed]}: #{names.first(MOST_NAMED).join(", ")}#{" and #{more} more" if more.positive?}"
      end

      # ids: of the cells in the hand.
      def alignment(ids)
        snapshot = Snapshot.of(book)
        wanted = ids.to_set
        document = snapshot.document
        TileLoom::Index::Alignment.new(
          snapshot.cells,
          snapshot.cells.select { |cell| wanted.include?(cell.id) }.map(&:number),
          size: document.method(:cell_size),
          overlap_mm: document.index.overlap_mm(document.layout.frame_box)
        )
      end

      def done(handwork, deed, wanted)
        numbers = numbers_of(wanted.fetch("cells", []))
        case deed
        when "move"
          moved(handwork, numbers, wanted)
        when "rotate"
          handwork.turn(numbers, measure(wanted, "rotation_deg"))
        when "scale"
          handwork.scale(numbers, measure(wanted, "scale"))
        when "pin"
          handwork.pin(numbers, wanted["on"] == true)
        when "remove"
          handwork.remove(numbers)
        when "add"
          handwork.add(measure(wanted, "x"), measure(wanted, "y"))
        when "split"
          handwork.split(numbers.first.to_i, measure(wanted, "scale"))
        when "rename"
          handwork.rename(numbers.first.to_i, wanted["name"])
        else
          handwork.place_at(numbers.first.to_i, measure(wanted, "place").to_i)
        end
      end

      # On the ground, or on paper.
      def moved(handwork, numbers, wanted)
        if wanted["dx_mm"] || wanted["dy_mm"]
          return handwork.nudge(numbers, measure(wanted, "dx_mm"), measure(wanted, "dy_mm"))
        end
        handwork.move(numbers, measure(wanted, "dx"), measure(wanted, "dy"))
      end

      # The places in the order that the cells with these ids have now.
      def numbers_of(ids)
        known = book.index.rows.to_h { |row| row.values_at("cell_id", "number") }
        ids.map { |id| known[id] || raise(TileLoom::Refusal.new("requests.cell_gone", at: "/cells")) }
      end

      def measure(wanted, name) =
        wanted[name] || raise(TileLoom::Refusal.new("requests.no_number", name: name, at: "/#{name}"))
    end
  end
end
