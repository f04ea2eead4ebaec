# frozen_string_literal: true

require "app_helper"

RSpec.describe App::ProofCache do
  before { empty_database }

  let(:book) { kept_book }

  def sheet(number = 1, **headers) =
    get("/api/books/#{book.id}/sheets/#{number}.svg", {}, {"HTTP_HOST" => "localhost"}.merge(headers))

  def drawn
    count = 0
    allow_any_instance_of(App::Snapshot).to receive(:sheet_svg).and_wrap_original { |original, *args, **options|
      (count += 1) && original.call(*args, **options)
    }
    yield
    count
  end

  it "draws a page once for all who ask, and gives it packed or plain" do
    count =
      drawn do
        sheet
        plain = last_response.body
        sheet(1, "HTTP_ACCEPT_ENCODING" => "gzip")
        expect([last_response.headers["content-encoding"], Zlib.gunzip(last_response.body)]).to eq(["gzip", plain])
        expect(plain).to start_with("<svg")
      end
    expect(count).to eq(1)
    one =
      drawn do
        Array
          .new(6) { Thread.new { App::Snapshot.of(App::Book.find(book.id)).sheet_svgz(2) } }
          .map(&:value)
          .then { |all| expect(all.uniq.length).to eq(1) }
      end
    expect(one).to eq(1)
  end

  it "draws it anew when anything of it changes, and finds it again after undo" do
    sheet
    before = last_response.body
    App::BookChanges.new(book).apply({"title" => "Another moss"}, label: "x")
    sheet
    expect(last_response.body).to include("Another moss")
    App::BookChanges.new(App::Book.find(book.id)).undo
    expect(drawn { sheet }).to eq(0)
    expect(last_response.body).to eq(before)
    cell = App::Book.find(book.id).index.rows.first
    send_json(
      :post,
      "/api/books/#{book.id}/cells",
      {do: "move", cells: [cell["cell_id"]], dx: 25, dy: 0, revision: App::Book.find(book.id).revision}
    )
    sheet
    expect(last_response.body).not_to eq(before)
  end

  # The same drawing whether its parts were worked out before or not.
  it "puts pages together from kept parts as they are drawn afresh" do
    App::BookChanges.new(book).apply({"subtitle" => "one"}, label: "x")
    snapshot = App::Snapshot.new(App::Book.find(book.id))
    kept = snapshot.sheet_svg(1)
    App::BookChanges.new(App::Book.find(book.id)).apply({"subtitle" => "two"}, label: "x")
    warm = App::Snapshot.new(App::Book.find(book.id)).sheet_svg(1)
    stub_const("App::DrawnParts::ALL", App::DrawnParts.new)
    cold = App::Snapshot.new(App::Book.find(book.id)).sheet_svg(1)
    expect(warm).to eq(cold)
    expect(kept).not_to eq(warm)
  end

  # Whatever an element is drawn from: live texts of the book by name, in a range, by a name that is worked out, in a
  # legend's title and a table, texts that have none, a map.
  it "writes elements anew where a text of the book goes into them, and takes the others as they were" do
    texts = [
      "{{ book.subtitle }}",
      "{% assign n = book.edition | plus: 0 %}{% for i in (1..n) %}{{ i }}{% endfor %}",
      %({% assign k = "bo" | append: "ok" %}{{ [k].author }}),
      "{{ fields.dam }}",
      "sheet {{ sheet.name }}",
      "plain"
    ]
    boxes =
      texts.each_with_index.map do |text, place|
        {
          "kind" => "text",
          "id" => "live-#{place}",
          "place" => {
            "left_mm" => 10,
            "top_mm" => 10 + 8 * place,
            "width_mm" => 90,
            "height_mm" => 8
          },
          "text" => text
        }
      end
    layout = document_of(book)["layout"]
    layout["elements"] += boxes
    fields = [{"id" => "f1", "name" => "dam", "value" => "north"}]
    App::BookChanges.new(book).apply({"layout" => layout, "edition" => "2", "fields" => fields}, label: "x")
    page = -> do
      App::Snapshot.new(App::Book.find(book.id)).then { |all| [all.sheet_svg(1), all.sheet_svg(1, thumb: true)] }
    end
    page.call
    [
      {"subtitle" => "two"},
      {"edition" => "3"},
      {"author" => "A. Weaver"},
      {"fields" => [{"id" => "f1", "name" => "dam", "value" => "south"}]},
      {"title" => "Other"},
      {"description" => "Long"}
    ].each do |patch|
      App::BookChanges.new(App::Book.find(book.id)).apply(patch, label: "x")
      drawn = []
      allow_any_instance_of(TileLoom::Output::Svg).to receive(:written).and_wrap_original do |original, node|
        drawn << node.name
        original.call(node)
      end
      warm = page.call
      expect(drawn).to include(*(0..3).map { |place| "text live-#{place}" }) &
        be_none { |name| ["text live-4", "text live-5"].include?(name) }
      App::WrittenElements::KEPT.clear
      App::DrawnParts::ALL.clear
      expect(warm).to eq(page.call)
    end
  end

  it "lets the longest unused go, of parts and of pages" do
    stub_const("App::DrawnParts::MOST_NUMBERS", 1_000)
    parts = App::DrawnParts.new
    line = ->(length) { [TileLoom::Scene::Path.new(runs: [Array.new(length, 0.0)])] }
    asked = 0
    get = ->(key) { parts.fetch(key) { (asked += 1) && line.call(100) } }
    (1..7).each { |key| get[key] }
    get[1]
    (8..9).each { |key| get[key] }
    expect { get[1] }.not_to change { asked }
    expect { get[2] }.to change { asked }.by(1)
    3.times { |number| described_class.fetch(["x", number]) { "<svg/>" } }
    stub_const("App::ProofCache::MOST_FILES", 1)
    expect(described_class.sweep).to be >= 2
  end
end
