# frozen_string_literal: true

module App
  module Routes
    # Cells by hand, what they cover, and cells as files.
    class Cells < Base
      # {"do": what, "cells": their ids, "revision": of the book that was seen, ...}: see TileLoom::Index::Handwork.
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
      MOST_LISTED = 200

      post "/api/books/:book_id/cells" do
        wanted = body_json
        deed = wanted["do"].to_s
        changes.of_cells(DEEDS[deed], revision: wanted["revision"]) do
          handwork = handwork()
          cells = done(handwork, deed, wanted)
          # A place that was given by hand stays when the index is woven again.
          book.index.settings = book.index.settings.merge("order" => {"kind" => "by_hand"}) if deed == "place"
          book.index.keep(cells)
        end
        json(shown(book))
      end

      # What the kept cells leave out, show twice, hardly show: pieces with their boxes.
      get "/api/books/:book_id/cover" do
        snapshot = Snapshot.of(book)
        answer = snapshot.document.cover(snapshot.source)
        json(Presenter.answer(answer, titles: book.layer_titles, cells: false).merge(Presenter.cover(answer)))
      end

      # How the features of layers fall on the cells.
      get "/api/books/:book_id/cover/:key" do
        layer = Layer.find_by!(book_id: book.id, key: params["key"].to_s, removed: false)
        snapshot = Snapshot.of(book)
        found = TileLoom::Index::FeatureCover.new(snapshot.cells, snapshot.source.features(layer.key, nil))
        json(
          {"count" => found.count, **%w[missing cut several].to_h { |name| [name, listed(found.public_send(name))] }}
        )
      end

      get "/api/books/:book_id/cells/file" do
        cells = CellFile.new(book)
        file = cells.written(params["format"].to_s)
        attachment(file.name)
        content_type file.type
        file.make(cells.features) { |path| File.binread(path) }
      end

      post "/api/books/:book_id/cells/file" do
        upload = uploaded_file
        Dir.mktmpdir("tile-loom-cells") do |folder|
          path = File.join(folder, "cells#{File.extname(upload[:name]).downcase[/\A\.[a-z]{1,8}\z/]}")
          FileUtils.cp(upload[:tempfile].path, path)
          file = CellFile.new(book)
          features = file.features_of(path)
          changes.of_cells("Cells of #{upload[:name]}") do
            book.index.keep(file.cells(features), with: WeaveState.new(book).now)
          end
        end
        json(shown(book.reload))
      end

      private

      def handwork
        index = book.index.core
        frame = book.layout.core.frame_box
        crs = TileLoom::Crs::System.find(book.reference)
        TileLoom::Index::Handwork.new(
          book.index.core_cells,
          size: ->(scale) { index.size(crs, frame, scale) },
          scale: index.scale
        )
      end

      def done(handwork, deed, wanted)
        numbers = numbers_of(wanted.fetch("cells", []))
        case deed
        when "move"
          handwork.move(numbers, measure(wanted, "dx"), measure(wanted, "dy"))
        when "rotate"
          # Clockwise, as everywhere; the plane counts the other way.
          handwork.turn(numbers, -measure(wanted, "rotation_deg"))
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

      # The places in the order that the cells with these ids have now.
      def numbers_of(ids)
        known = book.index.rows.to_h { |row| row.values_at("cell_id", "number") }
        ids.map { |id| known[id] || raise(TileLoom::Refusal.new("requests.cell_gone", at: "/cells")) }
      end

      def measure(wanted, name) =
        wanted[name] || raise(TileLoom::Refusal.new("requests.no_number", name: name, at: "/#{name}"))

      # Identities, boxes and a name of the first few.
      def listed(features)
        {
          "count" => features.length,
          "first" =>
            features
              .first(MOST_LISTED)
              .map do |feature|
                {
                  "id" => feature.id,
                  "name" => label(feature),
                  "box" => TileLoom::Geometry::Geos.envelope(TileLoom::Geometry::Geos.read(feature.wkb))&.to_a
                }
              end
        }
      end

      def label(feature) =
        (feature.attributes.values_at("name", "Name", "title", "code").compact.first || feature.id).to_s[0, 80]
    end
  end
end
