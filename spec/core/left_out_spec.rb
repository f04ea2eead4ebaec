# frozen_string_literal: true

require "spec_helper"

RSpec.describe TileLoom::Index::LeftOut do
  def feature(id, wkb) = TileLoom::Data::Feature.new(id: id, wkb: wkb, attributes: {})

  let(:wkb) { TileLoom::Geometry::Wkb }

  # An area of 1 km, with points, a line and a multipoint on it and at its edges.
  let(:source) do
    TileLoom::Data::MemorySource.new(
      "area" => [rectangle(402_000, 6_528_000, 403_000, 6_529_000)],
      "hazards" => [
        feature(1, wkb.point(402_020, 6_528_020)),
        feature(2, wkb.point(402_900, 6_528_900)),
        feature(3, wkb.collection(4, [wkb.point(402_010, 6_528_010), wkb.point(402_500, 6_528_500)]))
      ],
      "tracks" => [feature(1, wkb.line([402_010.0, 6_528_010.0, 402_900.0, 6_528_900.0]))]
    )
  end

  let(:book) do
    layers =
      %w[area hazards tracks].map do |id|
        {
          id: id,
          title: id.capitalize,
          kind: "area",
          data: {
            "collection" => {
              "type" => "FeatureCollection",
              "features" => []
            }
          }
        }
      end
    settings =
      TileLoom::Document::Starter.document(
        title: "x",
        reference: "EPSG:25829",
        area: "area",
        scale: 2500,
        layers: layers
      )
    TileLoom::Document::Book.new(
      settings.merge(
        "index" => settings["index"].merge("area" => %w[area hazards tracks].map { |layer| {"layer" => layer} })
      )
    )
  end

  def told(cells) =
    book
      .with_cells(cells)
      .cover(source)
      .then do |answer|
        [
          answer.left_out.sentences({"area" => "Area", "hazards" => "Hazards", "tracks" => "Tracks"}),
          answer.left_out_m2.zero?
        ]
      end

  def moved(cells, name, dx, dy)
    cells.map do |cell|
      if cell.name == name
        cell.dup.tap do |other|
          other.ground = cell.ground.dup.tap { |ground| ground.centre_x += dx and ground.centre_y += dy }
        end
      else
        cell
      end
    end
  end

  it "counts points, lines and polygons on no sheet, wholly and in part" do
    cells = book.generate(source).cells
    expect(told(cells)).to eq([[], true])
    corner = cells.find { |cell| cell.ground.box.include?(402_010, 6_528_010) }.name
    # 15 m off: the point at 20 m from the corner stays, that of the multipoint and the line's end at 10 m go.
    box = cells.find { |cell| cell.name == corner }.ground.box
    off = [402_015 - box.min_x, 6_528_015 - box.min_y]
    sentences, whole = told(moved(cells, corner, *off))
    expect(sentences).to eq(
      [
        "1 polygon of Area is partly outside all sheets",
        "1 point of Hazards is partly outside all sheets",
        "1 line of Tracks is partly outside all sheets (8 m)"
      ]
    )
    expect(whole).to be(false)
    sentences, = told(cells.reject { |cell| cell.name == corner })
    expect(sentences.first(2)).to eq(
      ["1 point of Hazards is on no sheet", "1 polygon of Area is partly outside all sheets"]
    )
    expect(told([]).first).to eq(
      ["1 polygon of Area is on no sheet", "3 points of Hazards are on no sheet", "1 line of Tracks is on no sheet"]
    )
  end

  it "takes what lies on the edge of a sheet, or is cut between two, as shown" do
    cells = book.generate(source).cells
    edge = cells.first.ground.corners
    pieces =
      TileLoom::Index::LeftOut.new(
        cells,
        [["hazards", feature(9, wkb.point(*edge.first(2)))]],
        book.index.size(book.crs, book.layout.frame_box)
      )
    expect(pieces.losses).to eq([])
  end
end
