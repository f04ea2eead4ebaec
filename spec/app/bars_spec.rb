# frozen_string_literal: true

require "app_helper"

RSpec.describe App::Routes::Bars do
  before { empty_database }

  let(:book) { kept_book }

  def ask(path)
    get path, {}, "HTTP_HOST" => "localhost"
    answer
  end

  def bars =
    %w[layout index_layout]
      .flat_map { |name| App::Book.find(book.id).document[name].to_h.fetch("elements", []) }
      .select { |element| element["kind"] == "scale_bar" }

  def patch_element(kind, changes)
    elements =
      App::Book.find(book.id).document["layout"]["elements"].map do |element|
        (element["kind"] == kind) ? element.merge(changes) : element
      end
    send_json(
      :patch,
      "/api/books/#{book.id}",
      {
        label: "Element",
        patch: {
          layout: {
            elements: elements
          }
        },
        revision: App::Book.where(id: book.id).pick(:revision)
      }
    )
  end

  def told(id) = ask("/api/books/#{book.id}/sheets/1/measured/#{id}")

  it "says what a bar comes to on a sheet, and how far it is off" do
    expect(told("scale")["sentence"]).to match(
      /\A100 m in 5 divisions, 39\.99 mm on this sheet; off by at most 0\.001 % anywhere in the frame\.\z/
    )
    expect(told("scale")["warnings"]).to eq([])
    patch_element("scale_bar", {"verbal" => "below", "second_units" => "imperial"})
    expect(told("scale")["warnings"]).to match([/mm high, and its box is 9 mm; make the box higher/])
    expect(told("north")["sentence"]).to eq("Grid north, 0° right of upright on this sheet.")
    expect(ask("/api/north-arrows").length).to be >= 12
  end

  it "refuses what does not fit beside its field; the last good bar stays" do
    before = bars
    {
      {"divisions" => 0} => /“divisions” is 0; it must be at least 1/,
      {"divisions" => 1000} => /at most 20/,
      {"height_mm" => -2} => /must be more than 0/,
      {
        "division_length" => "100 m",
        "divisions" => 9
      } =>
        /9 divisions of 100 m need 360 mm at 1:2,500, but only 52 mm is free/,
      {"division_length" => "30 sec"} => /not a unit of length/,
      {
        "place" => {
          "right_mm" => 1,
          "bottom_mm" => 24,
          "width_mm" => 6,
          "height_mm" => 9
        }
      } =>
        /No round length fits in .* mm with its labels/,
      {"units" => "furlongs"} => /“units” is "furlongs"; use one of/
    }.each do |changes, said|
      patch_element("scale_bar", changes)
      expect([last_response.status, answer["message"]]).to match([422, said])
      expect(bars).to eq(before)
    end
  end

  it "lets the scale change although a bar of fixed divisions has no room then, and marks the bar on its sheet" do
    patch_element("scale_bar", {"division_length" => "25 m", "divisions" => 4})
    expect(last_response.status).to eq(200)
    send_json(:patch, "/api/books/#{book.id}", {label: "Scale", patch: {index: {scale: 1000}}})
    expect(last_response.status).to eq(200)
    get "/api/books/#{book.id}/sheets/1.svg", {}, "HTTP_HOST" => "localhost"
    expect([last_response.status, answer["message"], answer["path"]]).to match(
      [422, /4 divisions of 25 m need 100 mm at 1:1,000, but only 52 mm is free/, %r{/layout/elements/\d+\z}]
    )
  end

  it "keeps styles by name, puts them on all bars of the book, and takes them along as files" do
    send_json(:post, "/api/books/#{book.id}/layout/index", {on: true})
    patch_element("scale_bar", {"style" => "stepped", "colour" => "#8c2f39", "extension" => 4})
    send_json(:post, "/api/bar-styles", {name: "Red steps", style: bars.first})
    expect(answer.map { |style| style["name"] }).to eq(["Red steps"])
    id = answer.first["id"]
    patch_element("scale_bar", {"style" => "outline"})
    send_json(:post, "/api/books/#{book.id}/bar-style", {style_id: id})
    expect(bars.map { |bar| bar.slice("style", "colour", "extension") }).to eq(
      [{"style" => "stepped", "colour" => "#8c2f39", "extension" => 4}] * 2
    )
    expect(bars.map { |bar| bar["place"] }.uniq.length).to eq(2)
    App::BookChanges.new(App::Book.find(book.id)).undo
    expect(bars.map { |bar| bar["style"] }).to eq(["outline", nil])
    send_json(:post, "/api/books/#{book.id}/bar-style", {element: "scale"})
    expect(bars.map { |bar| bar["style"] }).to eq(%w[outline outline])
    get "/api/bar-styles/#{id}/file", {}, "HTTP_HOST" => "localhost"
    file = last_response.body
    expect(JSON.parse(file)).to include(
      "format" => "tile-loom-scale-bar",
      "version" => 1,
      "title" => "Red steps",
      "style" => include("style" => "stepped")
    )
    delete "/api/bar-styles/#{id}", {}, "HTTP_HOST" => "localhost"
    expect(answer).to eq([])
    expect(TileLoom::Document::BarStyleFile.read(file)).to eq(
      ["Red steps", {"style" => "stepped", "colour" => "#8c2f39", "extension" => 4}]
    )
    {
      "{}" => /lacks “format”/,
      "<html>" => /not JSON/,
      file.sub("stepped", "wobbly") => /“style” is "wobbly"; use one of chequered/,
      file.sub('"version": 1', '"version": 9') => /version 9/
    }.each do |text, said|
      expect { TileLoom::Document::BarStyleFile.read(text) }.to raise_error(TileLoom::Refusal, said)
    end
  end
end
