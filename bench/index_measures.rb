# frozen_string_literal: true

module Bench
  # The index: many cells over an area of many vertices, the search for the fewest, a cell moved by hand.
  class IndexMeasures
    VERTICES = 100_000
    RADIUS_M = 20_000.0

    # folio_path: of the demo book.
    def initialize(folio_path) = @folio_path = folio_path

    # Rows of the table: [what, value].
    def rows
      [
        generated("10,000 cells", 10_000),
        generated("100,000 cells", 98_000),
        million,
        fewest,
        strip,
        neighbours,
        *by_hand
      ]
    end

    private

    def clock = Process.clock_gettime(Process::CLOCK_MONOTONIC)

    def crs = @crs ||= TileLoom::Crs::System.find("EPSG:25829")

    # A ragged disc: its edge goes in and out at every vertex.
    def area
      @area ||=
        begin
          random = Random.new(9)
          ring =
            (0...VERTICES).flat_map do |index|
              angle = 2 * Math::PI * index / VERTICES
              radius = RADIUS_M * (1 + 0.1 * Math.sin(angle * 7) + 0.002 * random.rand)
              [500_000 + radius * Math.cos(angle), 6_500_000 + radius * Math.sin(angle)]
            end
          TileLoom::Index::StudyArea.new(
            [
              TileLoom::Data::Feature.new(
                id: 1,
                wkb: TileLoom::Geometry::Wkb.polygon([ring + ring.first(2)]),
                attributes: {}
              )
            ]
          )
        end
    end

    def size(scale) = TileLoom::Index::CellSize.new(frame_width_mm: 300, frame_height_mm: 240, scale: scale, crs: crs)

    # The scale at which the area takes about so many cells.
    def scale(cells) = Math.sqrt(area.surface_area / cells / (0.3 * 0.24)).round

    def grid(cells) = TileLoom::Index::Grid.new(area: area, size: size(scale(cells)))

    def generated(title, wanted)
      area.meets?(TileLoom::Geometry::TurnedRectangle.new(500_000, 6_500_000, 10, 10, 0.0))
      start = clock
      cells = grid(wanted).cells
      ["#{title} over an area of 100,000 vertices", format("%.1f s for %d", clock - start, cells.length)]
    end

    # The whole index of a book: cells, their names and order.
    def million
      (seconds, cells), megabytes =
        Apart.run do
          book = book_of(950_000)
          source = TileLoom::Document::Folio.new(nil, book).source
          start = clock
          cells = book.cells(source).length
          [clock - start, cells]
        end
      ["A million cells, named and in order", format("%.0f s for %d; peak %d MB", seconds, cells, megabytes)]
    end

    # Over the same area.
    def book_of(cells)
      settings = AreaBook.settings(TileLoom::Geometry::Geos.write(area.geometry), 1000)
      frame = TileLoom::Document::Book.new(settings).layout.frame_box
      scale = Math.sqrt(area.surface_area / cells / (frame.width * frame.height / 1e6)).round
      TileLoom::Document::Book.new(settings.merge("index" => settings["index"].merge("scale" => scale)))
    end

    def fewest
      start = clock
      found = TileLoom::Index::FewestSheets.new(area: area, size: size(scale(200)), overlap_mm: 8).find
      [
        "Fewest sheets, an area of 100,000 vertices, about 200 cells",
        format("%.1f s; %d in place of %d, at least %d", clock - start, found.cells.length, found.plain, found.bound)
      ]
    end

    # Sheets by feature: frames of four sizes that lie over one another, at random.
    def neighbours
      random = Random.new(1)
      cells =
        Array.new(3_000) do |index|
          width = [200.0, 400.0, 1_000.0, 3_000.0][random.rand(4)]
          TileLoom::Index::Cell.new(
            number: index + 1,
            name: index.to_s,
            row: index,
            column: 0,
            scale: 1000,
            ground:
              TileLoom::Geometry::TurnedRectangle.new(
                random.rand * 20_000,
                random.rand * 20_000,
                width,
                width * 0.7,
                0.0
              )
          )
        end
      start = clock
      found = TileLoom::Index::Neighbours.new(cells)
      cells.each { |cell| TileLoom::Index::MatchLine.of(cell, found.of(cell)) }
      [
        "Neighbours and match lines of 3,000 sheets by feature, lying over one another",
        format("%.1f s for %d pairs", clock - start, found.pairs.length)
      ]
    end

    def strip
      line =
        (0..20_000).flat_map { |index| [index * 5.0, 3000 * Math.sin(index / 900.0) + 40 * Math.sin(index / 11.0)] }
      feature = TileLoom::Data::Feature.new(id: 1, wkb: TileLoom::Geometry::Wkb.line(line), attributes: {})
      start = clock
      cells =
        TileLoom::Index::Strip.new(size: size(2500), lead_mm: 10, overlap_mm: 10).cells(
          TileLoom::Index::Chain.of([feature])
        )
      ["Strip along a line of 20,000 vertices", format("%.1f s for %d cells", clock - start, cells.length)]
    end

    # Answers of the application to a cell moved by hand, at about 1,000 cells.
    def by_hand
      times = DatabaseProofs.new(@folio_path, child: "index_child.rb").times
      sorted = times.sort
      [
        [
          "A cell moved by hand at 1,000 cells, answered, p50 · p95",
          format("%.0f ms · %.0f ms", *[0.5, 0.95].map { |share| sorted[((sorted.length - 1) * share).round] * 1000 })
        ]
      ]
    end
  end
end
