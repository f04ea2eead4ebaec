# frozen_string_literal: true

require "app_helper"

# What a layer of a hundred thousand features asks for is work for a job, or is cut with a sentence.
RSpec.describe "Large layers" do
  before { empty_database }

  let(:book) { kept_book }

  def work = App::Worker.new(quiet: true, exit_on_complete: true).start

  def run_of(answer) = App::IndexRun.find(answer.dig("run", "id"))

  it "are written by a job, whose file waits for whoever asked" do
    stub_const("App::LayerExport::FEW", 10)
    ask("/api/books/#{book.id}/layers/dams/file?format=geojson")
    expect([last_response.status, answer["message"]]).to match([422, /20 features, which is work for a job/])
    send_json(:post, "/api/books/#{book.id}/layers/dams/file", {format: "geojson"})
    expect([last_response.status, answer["run"]["purpose"]]).to eq([202, "layer_file"])
    run = run_of(answer)
    work
    ask("/api/books/#{book.id}/index/runs/#{run.id}")
    expect([answer["state"], answer["total"]]).to eq(["done", 20])
    ask(answer["answer"]["path"])
    expect(last_response.headers["content-disposition"]).to include("dams.geojson")
    expect(JSON.parse(last_response.body)["features"].length).to eq(20)
    run.update_columns(updated_at: Time.now.utc - 2 * App::IndexRun::KEPT_S)
    App::FileRun.sweep
    expect(App::FileRun.new(run).path).to be_nil
    stub_const("App::LayerExport::FEW", 5_000)
    send_json(:post, "/api/books/#{book.id}/layers/dams/file", {format: "geojson"})
    expect(answer["path"]).to end_with("/layers/dams/file?format=geojson")
    send_json(:post, "/api/books/#{book.id}/layers/dams/file", {format: "xls"})
    expect(answer["message"]).to match(/is not a format/)
  end

  it "are held against the cells by a job" do
    stub_const("App::StepBudget::STEPS", 0)
    %w[cover cover/dams].each do |address|
      ask("/api/books/#{book.id}/#{address}")
      expect(last_response.status).to eq(202)
      run = run_of(answer)
      work
      expect([run.reload.state, run.answer["count"]]).to match(["done", Integer])
    end
  end

  it "fill no table without end: so many records, the rest counted" do
    elements =
      book.document["layout"]["elements"] +
      [
        {
          "kind" => "table",
          "id" => "records",
          "layer" => "dams",
          "records" => "book",
          "columns" => [{"title" => "Code", "field" => "code"}],
          "place" => {
            "left_mm" => 20,
            "top_mm" => 20,
            "width_mm" => 80,
            "height_mm" => 200
          }
        }
      ]
    send_json(:patch, "/api/books/#{book.id}", {patch: {layout: {elements: elements}}, revision: book.revision})
    expect(last_response.status).to eq(200)
    said = -> { ask("/api/books/#{book.id}/sheets/1/facts").then { answer["left_out"].grep(/table/) } }
    expect(said.call).to be_empty
    stub_const("TileLoom::Table::Records::MOST", 5)
    expect(said.call).to include(/lists the first 5 of 20 records/)
    stub_const("TileLoom::Table::Records::MOST_SEARCHED", 10)
    expect(said.call).to include(/left empty: it would look through 20 records, and 10 is the most/)
  end

  it "and pages of maps without end are refused" do
    inset = ->(number) do
      {
        "kind" => "inset",
        "id" => "i#{number}",
        "place" => {
          "left_mm" => 10,
          "top_mm" => 10,
          "width_mm" => 20,
          "height_mm" => 20
        }
      }
    end
    elements = book.document["layout"]["elements"] + (1..30).map(&inset)
    send_json(:patch, "/api/books/#{book.id}", {patch: {layout: {elements: elements}}, revision: book.revision})
    expect([last_response.status, answer["message"]]).to match([422, /map frames, insets and locators; 24 is the most/])
  end
end
