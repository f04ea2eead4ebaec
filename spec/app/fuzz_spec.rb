# frozen_string_literal: true

require "app_helper"
require_relative "../support/hostile_values"

# Every address with bodies and parameters by its schema and against it: whatever comes, it is answered in words.
# FUZZ_SEED and FUZZ_CASES for more by hand; the seed of a failure is in its message.
RSpec.describe "Any request" do
  seed = Integer(ENV.fetch("FUZZ_SEED", "11"))
  cases = Integer(ENV.fetch("FUZZ_CASES", "260"))

  routes =
    App::Server::ROUTES
      .flat_map do |group|
        group.routes.flat_map { |verb, list| (verb == "HEAD") ? [] : list.map { |pattern, *| [verb, pattern.to_s] } }
      end
      .uniq
      .freeze

  let(:queries) do
    %w[box width height only page size sort descending search when attribute way count x y reach format thumb most role]
  end

  before do
    empty_database
    @values = HostileValues.new(seed)
    @book = kept_book
    @run = App::PressOrder.new(@book, {"sheets" => "1"}).place
    @report = [
      {
        "name" => "a",
        "title" => "a",
        "count" => 1,
        "geometry" => "Point",
        "attributes" => [{"name" => "n", "type" => "text"}],
        "box" => [402_000, 6_528_000, 402_010, 6_528_010],
        "reference" => nil,
        "asks_reference" => true,
        "asks_columns" => false,
        "columns" => nil
      }
    ]
    @arrival =
      App::Arrival.create!(
        book_id: @book.id,
        name: "a.geojson",
        state: "ready",
        path: "1/original.geojson",
        report: @report
      )
    @start = App::Arrival.create!(name: "a.geojson", state: "ready", path: "1/original.geojson", report: @report)
  end

  # Parts of an address, now and then ones that lead nowhere.
  def filled(pattern)
    known = {
      "book_id" => @book.id,
      "number" => 1,
      "key" => "dams",
      "run_id" => @run.id,
      "arrival_id" => @arrival.id,
      "kept_id" => 1,
      "style_id" => 1,
      "index_run_id" => 1,
      "start_id" => @start.id,
      "element" => "map",
      "name" => "side-panel",
      "content" => "0" * 64
    }
    pattern
      .gsub(/:(\w+)/) do
        @values.chance(0.9) ? known.fetch($1, 1) : @values.one_of(%w[0 -1 99999999999999999999 x %F0%9F%98%80 %25 a'b])
      end
      .sub("*", "x")
  end

  def query
    names = queries.select { @values.chance(0.3) }
    names
      .map do |name|
        "#{name}=" \
          "#{
            CGI.escape(
              @values.one_of(
                [
                  @values.one_of(HostileValues::TEXTS),
                  @values.one_of(HostileValues::NUMBERS).to_s,
                  "402000,6528000,403000,6529000",
                  "name",
                  "code",
                  "equal",
                  "5",
                  '{"op":"=","args":[{"property":"code"},"D1"]}',
                  '{"op":"like","args":[{"property":"code"},1e999]}'
                ]
              ).to_s
            )
          }"
      end
      .join("&")
  end

  def body(verb, pattern)
    schema = App::RequestSchema.all["routes"]["#{verb} #{pattern}"]
    value = schema ? @values.by(schema, App::RequestSchema.all["$defs"]) : @values.any
    value["revision"] = App::Book.where(id: @book.id).pick(:revision) if value.is_a?(Hash) && value.key?("revision") &&
      @values.chance(0.8)
    value["cells"] = [App::Cell.where(grid_index_id: @book.index.id).pick(:cell_id)].compact if value.is_a?(Hash) &&
      value.key?("cells") && @values.chance(0.8)
    JSON.generate(value)
  rescue JSON::GeneratorError
    "{"
  end

  def index(definitions) =
    @values
      .by(definitions["index"], definitions)
      .then { |found| found.is_a?(Hash) ? found.slice(*@values.some(definitions["index"]["properties"].keys)) : {} }

  # One of a kind, with settings that elements of some kind have.
  def element
    kinds = TileLoom::Furniture::Elements.keys
    all = before_elements.flat_map(&:to_a).to_h.except("id", "place", "kind")
    {"kind" => @values.one_of(kinds)}.merge(
      all.slice(*@values.some(all.keys)).transform_values { |value| @values.chance(0.5) ? value : @values.any }
    )
  end

  def before_elements = App::Book.find(@book.id).document["layout"]["elements"]

  define_method(:told) do |what|
    "seed #{seed}: #{what.to_s[0, 600]} answered #{last_response.status} #{last_response.body[0, 300]}".force_encoding(
      Encoding::UTF_8
    ).scrub
  end

  it "is answered without a fault, and the book can be drawn afterwards" do
    faults = []
    cases.times do
      verb, pattern = @values.one_of(routes)
      path = filled(pattern)
      case verb
      when "GET"
        ask(@values.chance(0.6) ? "#{path}?#{query}" : path)
      when "DELETE"
        delete(path, {}, "HTTP_HOST" => "localhost")
      else
        sent = body(verb, pattern)
        public_send(verb.downcase, path, sent, "HTTP_HOST" => "localhost", "CONTENT_TYPE" => "application/json")
      end
      faults << told("#{verb} #{path} #{sent}") if last_response.status >= 500
      next if verb == "GET" || last_response.status >= 300 || !App::Book.exists?(@book.id)
      ["/api/books/#{@book.id}", "/api/books/#{@book.id}/sheets/1.svg"].each do |address|
        ask(address).then { faults << told("#{address} after #{verb} #{path} #{sent}") if last_response.status >= 500 }
      end
    end
    expect(faults).to be_empty, faults.first(20).join("\n")
  end

  it "of a change of the document is kept whole, or refused in words, and what is kept can be drawn" do
    faults = []
    @book = App::NewBook.from_folio(TileLoom::Document::Folio.read(SmallBooks::DEMO))
    schema = JSON.parse(TileLoom::Document::Schema.text)
    (cases / 2).times do
      before = App::Book.find(@book.id)
      document = @values.disturbed(before.document, times: @values.one_of([1, 1, 2]))
      # An index, or an element of the layout, as the schema would have it.
      case @values.one_of(%w[none index element])
      when "index"
        document["index"] = before.document["index"].merge(index(schema["$defs"]))
      when "element"
        document["layout"] = before.document["layout"].merge(
          "elements" =>
            before.document["layout"]["elements"] +
              [
                {
                  "id" => "fuzz",
                  "place" => {
                    "left_mm" => 10,
                    "top_mm" => 10,
                    "width_mm" => 80,
                    "height_mm" => 30
                  }
                }.merge(element)
              ]
        )
      end
      patch = document.is_a?(Hash) ? document.select { |key, value| before.document[key] != value } : document
      send_json(
        :patch,
        "/api/books/#{@book.id}",
        {patch: patch, revision: App::Book.where(id: @book.id).pick(:revision)}
      )
      faults << told("PATCH #{JSON.generate(patch)}") if last_response.status >= 500
      next unless last_response.status == 200
      [
        "/api/books/#{@book.id}",
        "/api/books/#{@book.id}/sheets/1.svg",
        "/api/books/#{@book.id}/cover",
        "/api/books/#{@book.id}/ground.svg?box=402000,6528000,403000,6529000&width=300&height=300",
        "/api/books/#{@book.id}/sheets/2/grids",
        "/api/books/#{@book.id}/sheets/1/facts"
      ].each do |address|
        ask(address)
        faults << told("#{address} after #{JSON.generate(patch)}") if last_response.status >= 500
      end
      send_json(:post, "/api/books/#{@book.id}/undo", {})
      faults << told("undo of #{JSON.generate(patch)}") if last_response.status >= 500
    end
    expect(faults).to be_empty, faults.first(20).join("\n")
  end

  it "with a file of JSON takes it whole, or refuses it in words" do
    faults = []
    files = {
      "/api/books" => JSON.parse(TileLoom::Document::BookText.new(App::CarriedBook.new(@book)).to_a.join),
      "/api/books/#{@book.id}/design/file" => TileLoom::Document::DesignFile.of(@book.document),
      "/api/bar-styles/file" => {
        "format" => "tile-loom-scale-bar",
        "version" => 1,
        "title" => "x",
        "style" => {
          "style" => "line"
        }
      },
      "/api/books/#{@book.id}/cells/file" => {
        "type" => "FeatureCollection",
        "features" => [
          {
            "type" => "Feature",
            "properties" => {
              "name" => "A1",
              "scale" => 2500,
              "turn" => 0,
              "number" => 1,
              "x" => 402_000,
              "y" => 6_528_000
            },
            "geometry" => {
              "type" => "Polygon",
              "coordinates" => [
                [[402_000, 6_528_000], [402_100, 6_528_000], [402_100, 6_528_100], [402_000, 6_528_000]]
              ]
            }
          }
        ]
      }
    }
    (cases / 4).times do
      path, document = @values.one_of(files.to_a)
      text =
        begin
          JSON.generate(@values.disturbed(document, times: @values.one_of([1, 2, 3])))
        rescue JSON::GeneratorError
          "{"
        end
      if path == "/api/books"
        post(path, text, "HTTP_HOST" => "localhost", "CONTENT_TYPE" => "application/json")
      else
        post(
          path,
          {
            "file" =>
              Rack::Test::UploadedFile.new(StringIO.new(text), "application/json", original_filename: "x.geojson")
          },
          "HTTP_HOST" => "localhost"
        )
      end
      faults << told("#{path} #{text[0, 3_000]}") if last_response.status >= 500
    end
    expect(faults).to be_empty, faults.first(20).join("\n")
  end
end
