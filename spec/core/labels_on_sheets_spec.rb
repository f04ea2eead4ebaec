# frozen_string_literal: true

# Labels of whole sheets, read back from what is printed.
RSpec.describe "Labels on sheets" do
  include SmallBooks if defined?(SmallBooks)

  # A square town of so many places with codes as names, in cells of a small page.
  def town(count, seed: 18, scale: 1000)
    random = Random.new(seed)
    features =
      Array.new(count) do |number|
        TileLoom::Data::Feature.new(
          id: number,
          wkb: TileLoom::Geometry::Wkb.point(402_000 + random.rand(4_000.0), 6_528_000 + random.rand(4_000.0)),
          attributes: {
            "code" => format("N%04d", number)
          }
        )
      end
    settings = small_settings(scale: scale)
    settings["layers"] << {
      "id" => "places",
      "title" => "Places",
      "rules" => [
        {
          "title" => "Place",
          "symbol" => {
            "marker" => {
              "shape" => "circle",
              "size_mm" => 1.2,
              "colour" => "#000000"
            }
          }
        }
      ],
      "labels" => [{"field" => "code", "size_pt" => 7, "halo" => {"width_mm" => 0}}]
    }
    source =
      TileLoom::Data::MemorySource.new(
        "area" => [rectangle(402_000, 6_528_000, 406_000, 6_532_000)],
        "places" => features
      )
    [TileLoom::Document::Book.new(settings), source]
  end

  def composer(book, source, cell) =
    TileLoom::Compose::SheetComposer.new(book: book, source: source, cell: cell, count: book.cells(source).length)

  # Does a ring of the ground lie in the frame of a sheet?
  def room?(sheet, ring) =
    sheet.view.to_page(ring).each_slice(2).all? { |x, y| sheet.view.frame.grow(-1).include?(x, y) }

  # The ink of a code on a page in mm, from the box that poppler gives: as wide as its glyphs, and from the baseline
  # (below the top of the box by the font's ascent, hhea table) up to the capitals' height (OS/2 table). Codes have
  # neither accents nor descenders.
  def inks(page)
    font = TTFunk::File.open(TileLoom::Type::Library.face("sans").file)
    em = 7 * 25.4 / 72
    ascent, cap =
      font.ascent.to_f / font.header.units_per_em * em,
      font.os2.cap_height.to_f / font.header.units_per_em * em
    page
      .scan(/<word xMin="([\d.]+)" yMin="([\d.]+)" xMax="([\d.]+)" yMax="[\d.]+">(N\d{4})</)
      .map do |left, top, right, code|
        x1, y, x2 = [left, top, right].map { |points| points.to_f * 25.4 / 72 }
        ring = [x1, y + ascent - cap, x2, y + ascent - cap, x2, y + ascent, x1, y + ascent]
        [code, TileLoom::Geometry::Geos.polygon(ring)]
      end
  end

  # 200 sheets, by poppler and GEOS.
  it "touch no other on any of 200 sheets, and none is cut by the frame" do
    book, source = town(6_000)
    cells = book.cells(source).first(200)
    expect(cells.length).to eq(200)
    Dir.mktmpdir do |folder|
      file = press(book, source, folder, cells: cells)
      pages = outside("pdftotext", "-bbox", file, "-").split("<page ").drop(1)
      frame = book.layout.frame_box
      counts =
        pages.map do |page|
          found = inks(page)
          tree = Geos::STRtree.new(10)
          found.each_with_index { |(_, ring), index| tree.insert(ring, index) }
          touching =
            found.each_with_index.flat_map do |(one, ring), index|
              near = tree.query(ring).select { |other| other > index }
              near.filter_map { |other| [one, found[other][0]] if ring.intersection(found[other][1]).area > 1e-6 }
            end
          expect(touching).to eq([])
          outer = TileLoom::Geometry::Geos.box(frame.grow(0.01))
          expect(found.reject { |_, ring| outer.contains?(ring) }).to be_empty
          found.length
        end
      expect(counts.sum).to be > 3_000
    end
  end

  it "are told with their texts where they have no room, and counted with those that have" do
    book, source = town(6_000)
    sheet = composer(book, source, book.cells(source)[20])
    labels = TileLoom::Compose::SheetLabels.new(sheet).to_h
    frame = sheet.view.frame
    shown =
      source
        .features("places", nil)
        .select { |feature| frame.include?(*sheet.view.to_page(feature.wkb.unpack("@5EE"))) }
        .map { |feature| feature.attributes["code"] }
    said = labels.values_at("placed", "unplaced").flatten.map { |label| label["text"] }
    expect(said.sort).to eq(shown.sort)
    expect(TileLoom::Compose::SheetFacts.new(sheet).to_h["labels"]).to eq(
      "placed" => labels["placed"].length,
      "unplaced" => labels["unplaced"].length
    )
  end

  # A place that both show has its label at the same place of the ground, where both have room for it.
  it "stand alike on neighbouring sheets that overlap" do
    book, source = town(2_500, scale: 5000)
    book =
      TileLoom::Document::Book.new(book.settings.merge("index" => book.settings["index"].merge("overlap_mm" => 25)))
    cells = book.cells(source)
    sheets = cells.map { |cell| composer(book, source, cell) }
    placed =
      sheets.map do |sheet|
        list = sheet.layout.main_frame.placed_labels(sheet)
        list.to_h { |label| [label.feature.id, sheet.view.to_ground(label.rings.first)] }
      end
    both = same = 0
    sheets
      .each_index
      .to_a
      .permutation(2) do |one, other|
        placed[one].each do |id, ring|
          elsewhere = placed[other][id] or next
          next unless room?(sheets[other], ring) && room?(sheets[one], elsewhere)
          both += 1
          same += 1 if ring.zip(elsewhere).all? { |a, b| (a - b).abs < 0.01 }
        end
      end
    expect(both).to be > 300
    expect(same.fdiv(both)).to be > 0.95
  end

  it "are the same however often and by whom they are placed" do
    book, source = town(4_000)
    cell = book.cells(source)[30]
    once = -> { TileLoom::Output::Svg.new(composer(book, source, cell).drawing).to_s }
    reader, writer = IO.pipe
    child =
      fork do
        writer.write(Digest::SHA256.hexdigest(once.call))
        writer.close
        exit!(0)
      end
    writer.close
    elsewhere = reader.read
    Process.wait(child)
    expect([Digest::SHA256.hexdigest(once.call), Digest::SHA256.hexdigest(once.call)].uniq).to eq([elsewhere])
  end

  it "keep clear of what stands in the frame" do
    book, source = town(6_000)
    settings = book.settings
    legend = {
      "kind" => "text",
      "id" => "note",
      "text" => "Note",
      "place" => {
        "left_mm" => 30,
        "top_mm" => 20,
        "width_mm" => 30,
        "height_mm" => 20
      }
    }
    settings =
      settings.merge("layout" => settings["layout"].merge("elements" => settings["layout"]["elements"] + [legend]))
    covered = TileLoom::Document::Book.new(settings)
    sheet = composer(covered, source, covered.cells(source)[20])
    box = sheet.elements.last.box(sheet.page)
    touching = ->(one) do
      one
        .layout
        .main_frame
        .placed_labels(one)
        .count { |label| label.rings.any? { |ring| TileLoom::Geometry::Box.around(ring).intersects?(box) } }
    end
    expect(touching[sheet]).to eq(0)
    expect(touching[composer(book, source, book.cells(source)[20])]).to be > 0
  end
end
