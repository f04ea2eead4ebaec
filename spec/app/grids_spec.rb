# frozen_string_literal: true

require "app_helper"

RSpec.describe App::Routes::Grids do
  before { empty_database }

  let(:book) { kept_book }

  def path(number = 1) = "/api/books/#{book.id}/sheets/#{number}/grids"

  def told(number = 1)
    get path(number), {}, "HTTP_HOST" => "localhost"
    answer
  end

  def frame(layout = "layout") =
    App::Book.find(book.id).document[layout]["elements"].find do |element|
      %w[map_frame index_frame].include?(element["kind"])
    end

  def patch_frame(changes, layout = "layout")
    elements =
      App::Book.find(book.id).document[layout]["elements"].map do |element|
        (element["id"] == frame(layout)["id"]) ? element.merge(changes) : element
      end
    send_json(
      :patch,
      "/api/books/#{book.id}",
      {
        label: "Frame",
        patch: {
          layout => {
            elements: elements
          }
        },
        revision: App::Book.where(id: book.id).pick(:revision)
      }
    )
  end

  it "says of each grid what it comes to on a sheet" do
    metric, graticule = told["grids"]
    expect(metric).to include(
      "id" => "metric",
      "sentence" => "Lines 100 m apart, 40 mm on paper; labels bottom and left.",
      "warnings" => [],
      "interval" => {
        "x" => "100 m",
        "y" => "100 m"
      },
      "angles" => false
    )
    expect(graticule["sentence"]).to match(
      /\ALines every \d+″ of longitude and \d+″ of latitude, [\d.]+ and [\d.]+ mm on paper; labels top and right\.\z/
    )
    expect(told["presets"].map { |preset| preset["key"] }).to eq(%w[metric utm mgrs graticule dots])
    expect(told["beyond"].values).to all(eq(0))
  end

  it "adds grids that are sound as they are, each with a name of its own, undone like any change" do
    %w[mgrs dots mgrs].each { |preset| send_json(:post, path, {preset: preset}) }
    expect(last_response.status).to eq(200)
    expect(frame["grids"].map { |grid| grid["id"] }).to eq(%w[metric graticule mgrs dots mgrs-2])
    expect(told["grids"].flat_map { |grid| grid["warnings"] }).to eq([])
    expect(told["grids"][2]["sentence"]).to match(/in UTM zone 29 north; labels on all sides/)
    3.times { App::BookChanges.new(App::Book.find(book.id)).undo }
    expect(frame["grids"].map { |grid| grid["id"] }).to eq(%w[metric graticule])
    send_json(:post, path, {preset: "national"})
    expect(answer["message"]).to match(/“national” is not a grid for this area; use one of metric, utm/)
  end

  it "tries a grid without keeping it: words, interval and ghost lines" do
    send_json(:post, "#{path}/try", {grid: frame["grids"][0].merge("target_mm" => 100)})
    expect(answer).to include(
      "sentence" => "Lines 200 m apart, 80 mm on paper; labels bottom and left.",
      "interval" => {
        "x" => "200 m",
        "y" => "200 m"
      }
    )
    expect(answer["svg"]).to include(TileLoom::Compose::GridTrial::GHOST)
    expect(frame["grids"][0]["target_mm"]).to eq(40)
  end

  it "refuses intervals that do not fit, in the trial and when they are to be kept" do
    {
      "0 m" => /greater than zero/,
      "-5 m" => /greater than zero/,
      "30 sec" => /is in metres; enter a length/,
      "much" => /is not an interval/
    }.each do |interval, said|
      grid = frame["grids"][0].merge("interval" => {"x" => interval})
      send_json(:post, "#{path}/try", {grid: grid})
      expect([last_response.status, answer["message"]]).to match([422, said])
      patch_frame({"grids" => [grid]})
      expect([last_response.status, answer["message"], answer["path"]]).to match(
        [422, said, %r{/layout/elements/\d+/grids/0/interval/x}]
      )
    end
    send_json(:post, "#{path}/try", {grid: {"id" => "x", "crs" => "book", "stroke" => {}, "look" => "stars"}})
    expect(answer["message"]).to match(/“look” is "stars"; use one of lines, crosses/)
    send_json(:post, "#{path}/try", {grid: frame["grids"][0].merge("interval" => {"x" => "5 cm"})})
    expect(last_response.status).to eq(422)
    send_json(:post, "#{path}/try", {grid: frame["grids"][0].merge("interval" => {"x" => "20 mm", "y" => "20 mm"})})
    expect(answer["warnings"].first).to match(/would draw [\d,]+ lines, more than 400, so none is drawn/)
  end

  it "copies a grid to the index sheet's frame and back, where it suits that scale" do
    send_json(:post, "/api/books/#{book.id}/layout/index", {on: true})
    send_json(:post, "#{path}/copy", {id: "graticule"})
    App::BookChanges.new(App::Book.find(book.id)).undo
    send_json(:post, "#{path}/copy", {id: "metric"})
    expect(frame("index_layout")["grids"].map { |grid| grid["id"] }).to eq(["metric"])
    get path(0), {}, "HTTP_HOST" => "localhost"
    expect(answer["grids"][0]["sentence"]).to match(/\ALines /)
    expect(answer["grids"][0]["warnings"]).to eq([])
    get "/api/books/#{book.id}/sheets/0.svg", {}, "HTTP_HOST" => "localhost"
    expect(last_response.status).to eq(200)
    send_json(:post, "#{path(0)}/copy", {id: "metric"})
    expect(frame["grids"].map { |grid| grid["id"] }).to eq(%w[metric graticule metric-2])
  end

  it "makes room on the paper for border and labels where they have none" do
    patch_frame(
      {
        "place" => {
          "left_mm" => -9,
          "top_mm" => -9,
          "right_mm" => 66,
          "bottom_mm" => 8
        },
        "border" => {
          "kind" => "banded",
          "thickness_mm" => 4,
          "gap_mm" => 2
        }
      }
    )
    expect(last_response.status).to eq(200)
    expect(told["beyond"]).to include("right" => 0.0, "bottom" => 0.0)
    expect(told["beyond"].values_at("left", "top")).to all(be > 5)
    expect(told["grids"].flat_map { |grid| grid["warnings"] }).to include(/no space on the paper/)
    send_json(:post, "#{path}/room", {})
    expect(last_response.status).to eq(200)
    expect(told["beyond"].values).to all(eq(0.0))
    expect(told["grids"].flat_map { |grid| grid["warnings"] }.grep(/no space/)).to eq([])
    send_json(:post, "#{path}/room", {})
    expect(answer["message"]).to eq("The border and labels already fit.")
  end
end
