# frozen_string_literal: true

require "app_helper"

RSpec.describe App::Routes::Index do
  before { empty_database }

  let(:book) { kept_book }

  it "says what an index would come to without keeping anything" do
    send_json(:post, "/api/books/#{book.id}/index/trial", {patch: {index: {scale: 5000}}})
    expect(answer["count"]).to eq(answer["cells"].length)
    expect(answer["left_out_m2"]).to eq(0)
    expect(answer["sheet_width_m"]).to be_within(book.core.layout.frame_box.width * 5 * 1e-3).of(
      book.core.layout.frame_box.width * 5
    )
    expect(App::Book.find(book.id).index.settings["scale"]).to eq(2500)
  end

  it "tells the sheets that neighbouring scales would take" do
    send_json(:post, "/api/books/#{book.id}/scales", {})
    expect(answer.map { |row| row["scale"] }).to eq([1250, 2000, 2500, 4000, 5000])
    expect(answer.map { |row| row["count"] }).to eq(answer.map { |row| row["count"] }.sort.reverse)
    expect(answer.find { |row| row["scale"] == 2500 }["count"]).to eq(book.index.cells.count)
  end

  it "refuses in words what cannot be generated" do
    send_json(:post, "/api/books/#{book.id}/index/trial", {patch: {index: {scale: 5, overlap_mm: 0}}})
    expect(answer["message"]).to match(/would make up to [\d,]+ cells/)
    send_json(:post, "/api/books/#{book.id}/index/trial", {patch: {index: {area: "moon"}}})
    expect(answer["path"]).to eq("/index/area")
  end

  it "draws sheets as they will print, and says what there is" do
    ask("/api/books/#{book.id}/sheets/1.svg")
    expect(last_response.body).to include(">Test moss<", "1:2,500")
    ask("/api/books/#{book.id}/sheets/1/facts")
    expect(answer["true_scale"]).to be_within(2).of(2500)
    ask("/api/books/#{book.id}/sheets/99.svg")
    expect(answer["message"]).to match(/There is no sheet 99; the book has \d+/)
  end

  it "draws a changed book anew" do
    ask("/api/books/#{book.id}/sheets/1.svg")
    send_json(:patch, "/api/books/#{book.id}", {patch: {title: "Another moss"}, label: "Title"})
    ask("/api/books/#{book.id}/sheets/1.svg")
    expect(last_response.body).to include(">Another moss<")
  end

  it "says what is covered where no cell is left, and that there is none to export" do
    cells = book.index.rows.map { |row| row["cell_id"] }
    send_json(:post, "/api/books/#{book.id}/cells", {do: "remove", cells: cells, revision: book.revision})
    expect(last_response.status).to eq(200)
    ask("/api/books/#{book.id}/cover")
    expect([last_response.status, answer["left_out_m2"].round(-4), answer["overlap_m2"]]).to eq([200, 2_000_000, 0])
    TileLoom::Document::CellFile.formats.each do |format|
      ask("/api/books/#{book.id}/cells/file?format=#{format}")
      expect([last_response.status, answer["message"]]).to eq([422, "There is nothing to export: no cells."])
    end
  end

  it "says of a scale whose sheets are not counted what is known of it, never against the truth" do
    settings = book.document
    counts = {2500 => 40, 4000 => 18, 5000 => nil}
    list = App::NeighbouringScales.new(settings, {2500 => 40}) { |changed| counts[changed["index"]["scale"]] }.list
    expect(list).to eq(
      [
        {"scale" => 1250, "count" => nil, "more_than" => 40},
        {"scale" => 2000, "count" => nil, "more_than" => 40},
        {"scale" => 2500, "count" => 40},
        {"scale" => 4000, "count" => nil, "fewer_than" => 40},
        {"scale" => 5000, "count" => nil, "fewer_than" => 40}
      ]
    )
    counts[5000] = 12
    list = App::NeighbouringScales.new(settings, {2500 => 40}) { |changed| counts[changed["index"]["scale"]] }.list
    expect(list.map { |entry| entry.values_at("count", "more_than") }.first(4)).to eq(
      [[nil, 40], [nil, 40], [40, nil], [18, nil]]
    )
  end
end
