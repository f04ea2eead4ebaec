# frozen_string_literal: true

require "app_helper"

# Pages beside the sheets, and frames on any page.
RSpec.describe App::Routes::Layouts do
  before { empty_database }

  let(:book) { kept_book }

  def document = App::Book.find(book.id).document

  def post_to(path, body)
    send_json(:post, "/api/books/#{book.id}/#{path}", body)
    expect(last_response.status).to be_between(200, 201), last_response.body
    answer
  end

  def svg(number)
    ask("/api/books/#{book.id}/sheets/#{number}.svg")
    expect(last_response.status).to eq(200)
    body = last_response.body
    body.start_with?("<") ? body : Zlib.gunzip(body)
  end

  def frame(id) = document["layout"]["elements"].find { |element| element["id"] == id }

  it "makes a page of a ready-made design, which can be undone, and shows it by its number among the others" do
    made = post_to("pages", title: "Front cover", place: "front", design: "cover")
    expect(made["pages"]).to match(
      [a_hash_including("number" => -100, "kind" => "page", "name" => "Front cover", "position" => 1, "after" => 0)]
    )
    expect(made["page_frames"][made["made"].first]["elements"].keys).to include("title", "map")
    expect(svg(-100)).to include("Test moss")
    expect(svg(1)).to include("Test moss")
    post_to("undo", {})
    expect(document["pages"]).to be_nil
    ask("/api/books/#{book.id}/sheets/-100.svg")
    expect(last_response.status).to eq(422)
    expect(last_response.body).to include("no such page")
  end

  it "refuses a design and a place that are none, and a page before no sheet" do
    send_json(:post, "/api/books/#{book.id}/pages", title: "Cover", place: "front", design: "brochure")
    expect([last_response.status, last_response.body]).to match([422, /brochure/])
    send_json(:post, "/api/books/#{book.id}/pages", title: "Cover", place: "middle")
    expect(last_response.status).to eq(422)
    send_json(:post, "/api/books/#{book.id}/pages", title: "Notes", place: "before_sheet")
    expect([last_response.status, last_response.body]).to match([422, /belongs before a sheet, but none is named/])
    expect(document["pages"]).to be_nil
  end

  it "puts elements on the page that is meant, and grids into the frame that is meant" do
    id = post_to("pages", title: "Notes", place: "back", design: "notes")["made"].first
    post_to(
      "layout/elements",
      role: "pages",
      page: id,
      kind: "inset",
      box: [20, 60, 80, 60],
      settings: {
        extent: {
          kind: "whole_index"
        }
      }
    )
    page = document["pages"].first["layout"]["elements"]
    expect(page.map { |element| element["kind"] }).to include("inset")
    expect(document["layout"]["elements"].map { |element| element["kind"] }).not_to include("inset")
    send_json(
      :post,
      "/api/books/#{book.id}/layout/elements",
      role: "pages",
      page: id,
      kind: "map_frame",
      box: [20, 60, 80, 60]
    )
    expect([last_response.status, last_response.body]).to match([422, /on a page put an inset/])
    ask("/api/books/#{book.id}/sheets/-100/grids?frame=inset-1")
    preset = answer["presets"].first["key"]
    post_to("sheets/-100/grids", preset: preset, frame: "inset-1")
    expect(document["pages"].first["layout"]["elements"].last["grids"].length).to eq(1)
    ask("/api/books/#{book.id}/sheets/-100/grids?frame=inset-1")
    expect(answer["grids"].first["sentence"]).to match(/apart/)
    ask("/api/books/#{book.id}/sheets/-100/frames")
    expect(answer.map { |place| place["id"] }).to eq(["inset-1"])
    expect(answer.first["scale"]).to be > 2500
  end

  it "makes a detail and its outline together, in one change" do
    main = document["layout"]["elements"].find { |element| element["kind"] == "map_frame" }["id"]
    made = post_to("layout/detail", box: [20, 20, 60, 40], letter: "A", at_mm: [100, 60])["made"].first
    expect(frame(made)["extent"]).to eq("kind" => "detail", "at_mm" => [100, 60], "times" => 4)
    expect(frame(main)["outlines"]).to eq([{"id" => "outline-1", "frame" => made, "leaders" => true}])
    post_to("undo", {})
    expect([frame(made), frame(main)["outlines"]]).to eq([nil, nil])
  end

  it "starts the index sheet from the design of the sheets" do
    post_to("layout/index", on: true)
    post_to("layout/index/from-sheets", {})
    kinds = document["index_layout"]["elements"].map { |element| element["kind"] }
    expect(kinds).to include("index_frame")
    expect(kinds & %w[map_frame adjoining locator]).to eq([])
    expect(svg(0)).to include("Test moss")
  end

  it "prints pages, index sheets and sheets in their order, and names files after them" do
    post_to("layout/index", on: true)
    send_json(:patch, "/api/books/#{book.id}", {label: "Parts", patch: {index_pages: {across: 2, place: "last"}}})
    post_to("pages", title: "Cover", place: "front", design: "cover")
    send_json(:post, "/api/books/#{book.id}/plan", order: {form: {kind: "pdf_sheets"}, sheets: "Cover, A1, index"})
    expect(answer["names"]).to match([/Cover\.pdf/, /A1\.pdf/, /Index 1\.pdf/])
    expect(answer["files"]).to eq(4)
    run = post_to("runs", sheets: "Cover, A1, index")
    Delayed::Worker.new(quiet: true).work_off(20)
    ask("/api/books/#{book.id}/runs")
    done = answer.find { |known| known["id"] == run["id"] } || answer.first
    expect([done["state"], done["total"]]).to eq(["done", 4])
  end

  it "gives looks ids by which frames know them" do
    send_json(
      :patch,
      "/api/books/#{book.id}",
      {label: "Look", patch: {looks: [{title: "Bare", layers: [{id: "area"}]}]}, revision: book.reload.revision}
    )
    expect(document["looks"].first["id"]).to eq("look-1")
  end
end
