# frozen_string_literal: true

# Books made for tests: a layer or two of simple shapes.
module SmallBooks
  DEMO = File.join(TileLoom::ROOT, "demo/skarrow-moss.json")

  def demo_settings = JSON.parse(File.read(DEMO))

  # A rectangle of ground, in units of the reference, as a feature.
  def rectangle(west, south, east, north, id: 1, attributes: {})
    ring = [west, south, east, south, east, north, west, north, west, south].map(&:to_f)
    TileLoom::Data::Feature.new(id: id, wkb: TileLoom::Geometry::Wkb.polygon([ring]), attributes: attributes)
  end

  # A cell of an index at 1:1,000 with its ground turned counter-clockwise.
  def turned_cell(number, x, y, width, height, turn) =
    TileLoom::Index::Cell.new(
      number: number,
      name: "S#{number}",
      row: 0,
      column: 0,
      scale: 1000,
      ground: TileLoom::Geometry::TurnedRectangle.turned(x, y, width, height, turn)
    )

  def ring_feature(points)
    TileLoom::Data::Feature.new(
      id: 1,
      wkb: TileLoom::Geometry::Wkb.polygon([(points + [points.first]).flatten.map(&:to_f)]),
      attributes: {}
    )
  end

  # A document with one area layer; `changes` is merged into it deeply.
  def small_settings(reference: "EPSG:25829", scale: 2500, **changes)
    settings =
      TileLoom::Document::Starter.document(
        title: "Test sheets",
        reference: reference,
        area: "area",
        scale: scale,
        layers: [
          {
            id: "area",
            title: "Area",
            kind: "area",
            data: {
              "collection" => {
                "type" => "FeatureCollection",
                "features" => []
              }
            }
          }
        ]
      )
    deep_merge(settings, JSON.parse(JSON.generate(changes)))
  end

  def deep_merge(base, more)
    base.merge(more) { |_, old, new| (old.is_a?(Hash) && new.is_a?(Hash)) ? deep_merge(old, new) : new }
  end

  # What a GeoJSON collection begins with that names its reference, as files of before RFC 7946 do; its features follow.
  def collection_in(reference) =
    {"type" => "FeatureCollection", "crs" => {"type" => "name", "properties" => {"name" => reference}}}

  def small_book(features, **options)
    book = TileLoom::Document::Book.new(small_settings(**options))
    [book, TileLoom::Data::MemorySource.new("area" => features)]
  end

  # Prints the cells into a file in the folder and returns its path.
  def press(book, source, folder, cells: book.cells(source))
    file = File.join(folder, "sheets.pdf")
    press = TileLoom::Output::Press.new(book: book, source: source)
    press.bind(cells.map { |cell| press.page(cell, count: cells.length) }, file)
    file
  end

  def invalid(pattern = nil, path: nil)
    raise_error(TileLoom::Refusal) do |error|
      expect(error.message).to match(pattern) if pattern
      expect(error.pointer).to eq(path) if path
    end
  end
end
