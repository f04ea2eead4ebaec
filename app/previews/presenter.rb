# frozen_string_literal: true

module App
  # Books and runs as the browser gets them.
  module Presenter
    module_function

    # All of a book. session: of the browser that asks.
    def book(book, session: nil)
      {
        "document" => book.document,
        "cells" => book.index.core_cells.map { |cell| cell(cell) },
        **ground(book),
        "faces" => faces(book),
        **standing(book, session)
      }
    end

    # What a change made another, for a browser that has the book as it was before. done: a BookChanges::Done. Of the
    # document the operations that were done, of the cells those that went, by id, and those that came; of all else what
    # follows from them.
    def change(book, done, session: nil)
      operations = done.operations
      paths = operations.map { |operation| TileLoom::Document::Operations.names(operation) }
      touched = Edit.touched(operations, done.cells)
      all = ground_changed?(operations)
      {
        "since" => done.revision,
        "operations" => operations,
        "cells" => done.cells && cells_changed(done.cells),
        **(all ? ground(book) : touched(book, paths)),
        **(touched.include?("faces") ? {"faces" => faces(book)} : {}),
        **following(book, all ? nil : touched),
        **numbers(book, session)
      }
    end

    # Is it more than how single layers look?
    def ground_changed?(operations)
      operations.any? do |operation|
        name, layer, member = TileLoom::Document::Operations.names(operation)
        %w[crs markers].include?(name) ||
          (name == "layers" && (layer.nil? || member == "version" || (member.nil? && operation["op"] != "move")))
      end
    end

    # Members of a layer's entry from which nothing follows that is told beside it.
    PLAIN = %w[title visible opacity labels locked].freeze

    # What follows from layers of which something is another: "touched", in place of all of "layers".
    def touched(book, paths)
      ids = paths.filter_map { |name, id, member| id if name == "layers" && member && !PLAIN.include?(member) }
      return {} if ids.empty?
      assets = book.assets
      {"touched" => book.layers.select { |row| ids.include?(row.key) }.map { |row| layer(row, assets) }}
    end

    # change: a CellChange. A cell that is another comes under the id that it had.
    def cells_changed(change)
      come = change.come.map { |row| cell(Cell.core_of(row)) }
      {"gone" => change.gone.map { |row| row["cell_id"] } - come.map { |cell| cell["id"] }, "come" => come}
    end

    # What follows from reference and layers.
    def ground(book)
      {
        "reference" => reference(book),
        "distortion" => distortion(book),
        "ground_m" => ground_m(book),
        "layers" => book.assets.then { |assets| book.layers.map { |layer| layer(layer, assets) } }
      }
    end

    # What is worked out of the book: the members of its document (and "cells") from which it follows, and how.
    FOLLOWING = [
      [%w[crs cells], ->(book) { {"sheet_m" => sheet_m(book)} }],
      [%w[layout], ->(book) { {"frame" => book.layout.then { |own| page(own, own.frame_box) }} }],
      [
        %w[index_layout],
        ->(book) { {"index_frame" => book.index_layout&.then { |own| page(own, own.index_frame.box(own.page)) }} }
      ],
      [%w[layout index_layout index_pages pages index cells], ->(book) { pages_beside(book) }],
      [%w[crs layout index cells], ->(book) { {"index_state" => IndexState.new(book).to_h} }],
      [
        %w[index],
        ->(book) do
          {"naming" => book.index.core.naming.then { |own| {"kind" => own.kind, "example" => own.example} }}
        end
      ]
    ].freeze

    # touched: see Edit.touched; nil: all of it.
    def following(book, touched = nil)
      FOLLOWING
        .select { |members, _| touched.nil? || (members & touched).any? }
        .reduce({}) { |found, (_, work)| found.merge(work.call(book)) }
    end

    # All that is not of single parts. A change is not made while the reference is changed, nor does it say anew what
    # became of such a change.
    def standing(book, session) =
      {
        **numbers(book, session),
        **following(book),
        "reprojection" => Reprojection.open_for(book)&.then { |change| reprojection(change) },
        "notice" =>
          Reprojection
            .where(book_id: book.id, state: "failed")
            .where("updated_at > ?", Time.now.utc - 600)
            .order(:id)
            .last
            &.reason
      }

    # What is another after any change.
    def numbers(book, session) =
      {"id" => book.id, "revision" => book.revision, "position" => book.edit_position, **steps(book, session)}

    # What undo and redo would do for the browser that asks.
    def steps(book, session) =
      %w[undo redo].to_h { |direction| [direction, Edit.next_steps(book, direction, session).pick(:label)] }

    # A page of the history. edits: from History#steps.
    def history(book, edits, session:)
      {
        "steps" => edits.map { |edit| history_step(edit, session) },
        "more" => edits.length == History::PAGE,
        **versions(book),
        "runs" =>
          book
            .press_runs
            .where(state: %w[done incomplete])
            .order(id: :desc)
            .limit(History::PAGE)
            .pluck(:id, :position, :title, :finished_at)
            .map do |id, position, title, at|
              {"id" => id, "position" => position, "title" => title, "at" => at&.iso8601}
            end
      }
    end

    def history_step(edit, session)
      {
        "position" => edit.position,
        "label" => edit.label,
        "at" => edit.created_at.iso8601,
        "began_at" => edit.began_at.iso8601,
        "steps" => edit.steps,
        "touched" => edit.touched,
        "state" => edit.state,
        "about" => edit.about,
        "own" => edit.session && edit.session == session
      }
    end

    def versions(book) =
      {
        "versions" =>
          NamedVersion
            .where(book_id: book.id)
            .order(:position, :id)
            .map { |version| {**version.slice("id", "position", "name"), "at" => version.created_at.iso8601} }
      }

    # All typefaces; css: what a browser calls it; content: where the file of an own one is.
    def faces(book)
      own = book.document.fetch("faces", []).to_h { |entry| [entry["id"], entry["content"]] }
      book.assets.faces.all.map do |face|
        {
          "key" => face.key,
          "family" => face.family,
          "weight" => face.weight,
          "italic" => face.style == "italic",
          "css" => face.css_family,
          "content" => own[face.key]
        }.compact
      end
    end

    def reference(book)
      crs = book.crs
      {
        "code" => crs.register_code,
        "definition" => crs.code,
        "name" => crs.name,
        "metres_per_unit" => crs.metres_per_unit,
        "unit" => crs.unit_symbol
      }
    end

    # What the reference does to lengths over the book's ground; nothing while there is none.
    def distortion(book)
      box = book.extent or return nil
      crs, held = book.crs, book.index.settings.fetch("held", "projection")
      DISTORTIONS.fetch([crs.code, box, held]) do
        found = TileLoom::Crs::Distortion.new(crs, box, held: held)
        {"words" => found.in_words, "warnings" => found.warnings}
      end
    rescue TileLoom::Refusal => error
      {"words" => "", "warnings" => [error.message]}
    end

    # What was found of them lately.
    DISTORTIONS = TileLoom::Assets::Readings.new(100)

    # [width, height] in metres on the ground of all that the layers hold, and of the sheet in the middle of the list;
    # nothing where that is not known.
    def ground_m(book) = book.extent&.then { |box| size_m(book, TileLoom::Geometry::TurnedRectangle.of(box)) }

    def sheet_m(book) = book.index.middle_cell&.then { |cell| size_m(book, cell.ground) }

    def size_m(book, rectangle)
      TileLoom::Crs::GroundSize.new(book.crs, rectangle).to_a.map { |metres| metres.round(2) }
    rescue TileLoom::Refusal
      nil
    end

    def reprojection(change)
      {"name" => TileLoom::Crs::System.find(change.target).name, "done" => change.done, "total" => change.total}
    end

    # A small picture of each rule's symbol, as the legend draws it.
    def swatches(layer, assets)
      own = layer.book.document.slice(*Book::OWN)
      layer
        .entry
        .fetch("rules", [])
        .map do |rule|
          SWATCHES.fetch([rule["symbol"], layer.kind, own]) do
            TileLoom::Output::Swatch.new(
              TileLoom::Symbology::MapSymbol.new(rule["symbol"], assets: assets),
              layer.kind
            ).to_svg
          end
        end
    end

    # Those of symbols that were shown lately.
    SWATCHES = TileLoom::Assets::Readings.new(1_000)

    def layer(layer, assets)
      {
        "swatches" => swatches(layer, assets),
        "id" => layer.key,
        "kind" => layer.kind,
        "count" => layer.feature_count,
        "name" => layer.original_name,
        "box" => layer.extent&.to_a,
        "original_reference" => layer.original_reference,
        **(layer.pixels? ? {"pixels" => pixels(layer)} : {})
      }
    end

    # Of tiles nothing is known but how they lie.
    NO_STATISTICS = {"unit" => nil, "lowest" => [], "highest" => [], "ends" => [], "classes" => []}.freeze

    # What is known of a layer's pixels; nil where there are none.
    def pixels(layer)
      raster = layer.drawn or return nil
      facts = raster.facts
      if layer.entry["tiles"]
        return (
          NO_STATISTICS.merge(facts.json.slice("kind", "width", "height", "bands", "type"), tiles_lie(layer, raster))
        )
      end
      facts
        .json
        .slice(
          "kind",
          "width",
          "height",
          "bands",
          "type",
          "unit",
          "nodata",
          "lowest",
          "highest",
          "mean",
          "deviation",
          "classes"
        )
        .merge(
          lie(raster),
          "ends" => (0...facts.quantiles.length).map { |band| facts.quantiles[band] && facts.between(2, 98, band) }
        )
    end

    # Of tiles a pixel is as large as where the book is.
    def tiles_lie(layer, raster)
      known = lie(raster)
      box = layer.book.extent or return known
      place = TileLoom::Raster::Extent.new(raster.grid, layer.book.crs).own(box.centre)
      scale = TileLoom::Crs::Factors.at(raster.grid.system, *place).meridional_scale
      known.merge("pixel_m" => known["pixel_m"].map { |metres| (metres / scale).round(4) })
    rescue TileLoom::Refusal
      known
    end

    def lie(raster) =
      {"crs_name" => raster.grid.system.name, "pixel_m" => raster.grid.pixel_m.map { |metres| metres.round(4) }}

    # A page with the boxes of its elements; box: of the frame that decides what it shows.
    def page(layout, box)
      {
        "width_mm" => box.width.round(3),
        "height_mm" => box.height.round(3),
        "page_width_mm" => layout.page.width_mm,
        "page_height_mm" => layout.page.height_mm,
        "even_shift_mm" => (layout.page.for_page(2).live_area.min_x - layout.page.live_area.min_x).round(3),
        "live" => rectangle(layout.page.live_area),
        "elements" => layout.elements.to_h { |element| [element.id, rectangle(element.box(layout.page))] }
      }
    end

    # Pages beside the sheets, and id of a free one → the boxes of its elements.
    def pages_beside(book)
      unless book.document["index_layout"] || book.document["pages"].present?
        return {"pages" => [], "page_frames" => {}}
      end
      snapshot = Snapshot.of(book)
      {"pages" => pages(snapshot.run), "page_frames" => page_frames(snapshot.document.pages)}
    end

    # In their order. after: behind how many sheets it stands.
    def pages(run)
      sheets = 0
      run.book_pages.filter_map do |book_page|
        sheets += 1 if book_page.sheet?
        next if book_page.sheet?
        {
          "number" => book_page.number,
          "kind" => book_page.kind.to_s,
          "name" => book_page.name,
          "page" => book_page.page&.id,
          "position" => book_page.position,
          "folio" => book_page.folio,
          "after" => sheets,
          "sheets" => book_page.cells.length
        }
      end
    end

    def page_frames(list) =
      list.to_h do |own|
        layout = own.layout
        [own.id, page(layout, layout.elements.find(&:gridded?)&.box(layout.page) || layout.page.live_area)]
      end

    # [left, top, width, height] in page mm.
    def rectangle(box) = [box.min_x, box.min_y, box.width, box.height].map { |number| number.round(3) }

    def cell(cell)
      {
        "id" => cell.id,
        "number" => cell.number,
        "name" => cell.name,
        "row" => cell.row,
        "column" => cell.column,
        "scale" => cell.scale,
        "corners" => cell.ground.corners.each_slice(2).to_a,
        "centre" => [cell.ground.centre_x, cell.ground.centre_y],
        "width" => cell.ground.width,
        "height" => cell.ground.height,
        "kept" => cell.kept == true,
        "pinned" => cell.pinned == true,
        "moved" => cell.moved == true,
        "rotation_deg" => cell.ground.rotation_deg
      }
    end

    # titles: of the layers by id; cells: false leaves them out, where the browser has them.
    def answer(answer, titles:, cells: true)
      width, height = answer.sheet_m
      {
        "cells" => cells ? answer.cells.map { |found| cell(found) } : [],
        "count" => answer.cells.length,
        "rows" => answer.rows,
        "columns" => answer.columns,
        "sheet_width_m" => width,
        "sheet_height_m" => height,
        "sheet_spread" => answer.sheet_spread,
        "left_out_m2" => answer.left_out_m2.round(1),
        "left_out" => answer.left_out.sentences(titles),
        "notes" => answer.notes,
        "scales" => answer.cells.map(&:scale).minmax.compact,
        **(
          if answer.renewal
            {"come" => answer.renewal.come, "go" => answer.renewal.go, "stay" => answer.renewal.stay.length}
          else
            {}
          end
        )
      }
    end

    # Pieces left out, overlap, sheets that show almost nothing.
    def cover(answer)
      overlap, share = answer.cover.overlap
      {
        "pieces" =>
          answer
            .cover
            .left_out(answer.least)
            .map do |piece|
              {
                "m2" => answer.ground_m2(piece.geometry).round(1),
                "box" => piece.box.to_a,
                "rings" => piece.rings.map { |ring| ring.each_slice(2).to_a }
              }
            end,
        "overlap_m2" => (overlap * answer.plane_m2).round(1),
        "overlap_share" => share.round(4),
        "almost_empty" => answer.cover.almost_empty.map(&:number)
      }
    end

    def arrival(arrival)
      arrival.attributes.slice(
        "id",
        "name",
        "bytes",
        "state",
        "report",
        "done",
        "total",
        "reason",
        "remarks",
        "replaces"
      )
    end

    # A file that a book is to be made of; book: its number once it is made.
    def start(arrival)
      start = BookStart.new(arrival) if arrival.state == "ready"
      arrival(arrival).merge(
        "book" => (arrival.state == "done") ? arrival.book_id : nil,
        "opens" => arrival.opens?,
        "suggestions" => start ? start.suggestions : [],
        "area" => start&.likely_area
      )
    end

    def index_run(run) = run.attributes.slice("id", "purpose", "state", "done", "total", "reason")

    # session: of the browser that asks; pieces: [how many are done, what is told] of each piece.
    def run(run, session: nil, pieces: run.pieces.pluck(:done, :notices))
      files = run.files.to_a
      {
        "id" => run.id,
        "title" => run.title,
        "order" => run.order_given,
        "sheets" => run.sheets,
        "state" => run.state,
        "total" => run.total,
        "done" => (run.state == "done") ? run.total : pieces.sum(&:first),
        "reason" => run.reason,
        "bytes" => files.sum(&:bytes),
        "created_at" => run.created_at.iso8601,
        "finished_at" => run.finished_at&.iso8601,
        "expires_at" => run.expires_at&.iso8601,
        "revision" => run.revision,
        "position" => run.position,
        "later_revision" => run.later_revision,
        "own" => !run.asked_by.nil? && run.asked_by == session,
        "asked_from" => run.asked_from,
        "printing" => run.printing,
        "printable" => !Printer.address.nil? && files.any?(&:pdf?),
        "notices" => run_notices(run, pieces.map(&:last)),
        "files" => files.first(MOST_FILES).map { |file| file.attributes.slice("id", "name", "bytes", "sha256") },
        "file_count" => files.length,
        "ready" => run.state == "done"
      }
    end

    MOST_FILES = 200

    # Sentences of the run, each with the sheets that it is about. notices: {name of a sheet → sentences} of each piece.
    def run_notices(run, notices)
      found = Hash.new { |hash, sentence| hash[sentence] = [] }
      notices.compact.each do |sheets|
        sheets.each { |sheet, sentences| sentences.each { |sentence| found[sentence] << sheet } }
      end
      [
        *(run.notices || []).map { |sentence| {"message" => sentence, "sheets" => []} },
        *found.map { |sentence, sheets| {"message" => sentence, "sheets" => sheets} }
      ]
    end
  end
end
