# frozen_string_literal: true

require "tmpdir"

module Bench
  # What is measured, each a row of the table: [what, value].
  class Measures
    def initialize(folio_path)
      @folio_path = folio_path
    end

    def rows
      [
        *demo_rows,
        *legend_rows,
        *frame_rows,
        *generated_rows,
        *memory_rows,
        *image_rows,
        *GridMeasures.new.rows,
        *LabelMeasures.new.rows,
        *IndexMeasures.new(@folio_path).rows,
        *BookMeasures.new(@folio_path).rows,
        *GroundMeasures.new.rows,
        *TownMeasures.new.rows,
        *LoadMeasures.new.rows,
        *RasterMeasures.new.rows
      ]
    end

    private

    def clock = Process.clock_gettime(Process::CLOCK_MONOTONIC)

    def percentiles(times)
      sorted = times.sort
      [0.5, 0.95].map { |share| sorted[((sorted.length - 1) * share).round] * 1000 }
    end

    def demo
      @demo ||= TileLoom::Document::Folio.read(@folio_path).then { |folio| [folio.document, folio.source] }
    end

    def generated(scale)
      @source ||= TileLoom::Data::MemorySource.new(GeneratedGround.layers)
      [TileLoom::Document::Book.new(GeneratedGround.settings(scale)), @source]
    end

    def proofs((book, source), cells)
      count = cells.length
      draw = ->(cell) do
        TileLoom::Output::Svg.new(
          TileLoom::Compose::SheetComposer.new(book: book, source: source, cell: cell, count: count).drawing,
          size: false
        ).to_s
      end
      cells.first(10).each(&draw)
      percentiles(cells.map { |cell| clock.then { |start| draw.call(cell).then { clock - start } } })
    end

    def milliseconds(pair) = format("%.0f ms · %.0f ms", *pair)

    # What frames beside the main one, and the veil, add to a sheet of the demo.
    def frame_rows
      inset = {"kind" => "inset", "id" => "more", "border" => {}}
      place = {"left_mm" => 10, "top_mm" => 10, "width_mm" => 60, "height_mm" => 45}
      adds_ms({})
      plain = adds_ms({})
      {
        "A locator of neighbours, areas alone" => {
          "extent" => {
            "kind" => "neighbours"
          },
          "layers" => "areas",
          "labels" => false,
          "cells" => {}
        },
        "A globe with the sheet on it" => {
          "globe" => {},
          "layers" => "none",
          "outlines" => [{}]
        }
      }.map { |title, more| [title, adds_ms({"inset" => inset.merge("place" => place, **more)}) - plain] }
        .push(["A veil round the sheet's feature", adds_ms({"veil" => {}}) - plain])
        .map { |title, ms| ["#{title}, adds to a sheet (median of 27)", format("%.1f ms", ms)] }
    end

    # Median of drawing each sheet once, in ms, what all sheets share being there.
    def adds_ms(more)
      settings = JSON.parse(File.read(@folio_path))
      elements = settings["layout"]["elements"]
      elements.map! { |element| (element["kind"] == "map_frame") ? element.merge(more.slice("veil")) : element }
      elements << more["inset"] if more["inset"]
      book = TileLoom::Document::Book.new(settings)
      source = demo.last
      cells = book.cells(source)
      times =
        cells.map do |cell|
          start = clock
          TileLoom::Compose::SheetComposer.new(book: book, source: source, cell: cell, count: cells.length).drawing
          clock - start
        end
      times.sort[times.length / 2] * 1000
    end

    # All sheets' legends, looked through for rows without room.
    LEGENDS = 500

    def legend_rows
      settings = demo.first.settings
      settings = settings.merge("index" => settings["index"].merge("scale" => 500))
      book, source = TileLoom::Document::Book.new(settings), demo.last
      cells = book.cells(source).first(LEGENDS)
      start = clock
      cells.each do |cell|
        sheet =
          TileLoom::Compose::SheetComposer.new(
            book: book,
            source: source,
            cell: cell,
            count: cells.length,
            entries_alone: true
          )
        TileLoom::Compose::LegendShown.overfull(sheet)
      end
      [["Demo at 1:500, legends of #{cells.length} sheets checked", format("%.1f s", clock - start)]]
    end

    def demo_rows
      book, source = demo
      cells = book.cells(source)
      database = DatabaseProofs.new(@folio_path).times
      one = press_rate(demo, cells * 4, 1)
      two = press_rate(demo, cells * 4, 2)
      [
        ["Demo, proof SVG of a sheet from memory, p50 · p95", milliseconds(proofs(demo, cells * 4))],
        ["Demo, proof SVG of a sheet from the database, p50 · p95", milliseconds(percentiles(database))],
        ["Demo, sheets to PDF a second, one process · two", format("%.1f · %.1f", one[0], two[0])],
        ["Demo, bytes a sheet", format("%d", one[1])]
      ]
    end

    def generated_rows
      wide = generated(8_000)
      cells = wide[0].cells(wide[1])
      vertices =
        cells
          .first(20)
          .sum { |cell| wide[1].features("lines", cell.ground.box).sum { |feature| drawn(feature, cell) } } / 20
      one = press_rate(wide, cells, 1)
      two = press_rate(wide, cells, 2)
      [
        ["Million vertices, 1:8,000, vertices on a sheet before thinning", vertices.to_s],
        ["Million vertices, 1:8,000, proof SVG, p50 · p95", milliseconds(proofs(wide, cells))],
        ["Million vertices, 1:8,000, sheets to PDF a second, one process · two", format("%.1f · %.1f", one[0], two[0])],
        ["Million vertices, 1:8,000, bytes a sheet", format("%d", one[1])]
      ]
    end

    def drawn(feature, cell)
      box = cell.ground.box
      TileLoom::Geometry::Geos.read(feature.wkb).clip_by_rect(*box.to_a).num_coordinates
    end

    # [sheets a second, bytes a sheet]
    def press_rate((book, source), cells, processes)
      press = TileLoom::Output::Press.new(book: book, source: source)
      Dir.mktmpdir do |folder|
        file = File.join(folder, "bench.pdf")
        start = clock
        press.bind(
          TileLoom::Output::Parallel
            .new(processes: processes)
            .map(cells) { |cell| press.page(cell, count: cells.length) },
          file
        )
        [cells.length / (clock - start), File.size(file) / cells.length]
      end
    end

    # Images of the demo beside what poppler's own program makes of the same pages, and the largest paper.
    def image_rows
      ours, theirs = Dir.mktmpdir { |folder| [image_rate(folder), pdftocairo_rate(folder)] }
      [
        ["Demo, A3 at 300 ppi to PNG, million pixels a second · pdftocairo", format("%.1f · %.1f", ours, theirs)],
        ["Demo, A0 at 600 ppi to PNG, peak memory", "#{largest_image} MB"]
      ]
    end

    IMAGES = 8

    def image_press(**order)
      book, source = demo
      form = {"kind" => "images"}
      TileLoom::Output::Press.new(
        book: book,
        source: source,
        order:
          TileLoom::Output::Order.new({"sheets" => "1-#{IMAGES}", "form" => form}.merge(order.transform_keys(&:to_s)))
      )
    end

    # Million pixels a second.
    def image_rate(folder)
      press = image_press
      start = clock
      pixels = press.names.sum { |item, name| made(press, item, folder, name) }
      pixels / 1e6 / (clock - start)
    end

    def made(press, item, folder, name)
      press.order.form.make(press, item, folder, name)
      press.order.form.pixels(press, item).reduce(:*)
    end

    def pdftocairo_rate(folder)
      press = image_press(form: {"kind" => "pdf_book"})
      file = File.join(folder, "bench.pdf")
      press.bind(press.items.map { |item| press.page(item) }, file)
      start = clock
      system("pdftocairo", "-r", "300", "-png", file, File.join(folder, "page"))
      IMAGES * 4961 * 3508 / 1e6 / (clock - start)
    end

    # MB of a process that draws one sheet of A0.
    def largest_image
      Apart
        .run do
          settings = JSON.parse(File.read(@folio_path))
          settings["layout"]["page"].merge!("size" => "A0", "orientation" => "landscape")
          folder = TileLoom::Assets::Enclosures.new(folder: File.dirname(@folio_path))
          book = TileLoom::Document::Book.new(settings, enclosures: folder)
          order = TileLoom::Output::Order.new({"sheets" => "1", "ppi" => 600, "form" => {"kind" => "images"}})
          press = TileLoom::Output::Press.new(book: book, source: demo[1], order: order)
          Dir.mktmpdir { |place| made(press, press.items.first, place, "a0.png") }
          nil
        end
        .last
    end

    # Peak memory of a process that prints so many sheets of the generated ground at 1:2,500.
    def memory_rows
      [20, 200, 1000].map do |count|
        printed, megabytes =
          Apart.run do
            book, source = generated(2_500)
            cells = book.cells(source).first(count)
            press_rate([book, source], cells, 1)
            cells.length
          end
        ["Million vertices, 1:2,500, peak memory for #{printed} sheets", "#{megabytes} MB"]
      end
    end
  end
end
