# frozen_string_literal: true

require "app_helper"

# Layers of very many features on a map that is seen from afar: some of them at once, all of them as pixels by a job.
RSpec.describe App::FarPictures do
  before do
    empty_database
    FileUtils.rm_rf(App::Rasters.root)
    stub_const("App::Layer::MANY", {"area" => 20_000, "point" => 10})
    stub_const("TileLoom::Data::BlockBuilder::MANY", 10)
    stub_const("TileLoom::Data::BlockBuilder::SOME", 4)
    stub_const("App::FarPictures::QUICK", 60)
  end

  let(:book) { kept_book }
  let(:layer) { App::Layer.find_by!(book_id: book.id, key: "dams") }

  def work = App::Worker.new(quiet: true, exit_on_complete: true).start

  # 3 km × 1.5 km about the book's ground at 10 m a pixel.
  def map(more = "")
    ask("/api/books/#{book.id}/ground.svg?box=401500,6527750,404500,6529250&width=300&height=150&#{more}")
    last_response.body
  end

  def dots(svg) = svg[%r{data-part="dams".*?</g>}m].to_s

  # Level by level, as the worker does it.
  def all_drawn
    far = described_class.new(App::Book.find(book.id).core, [layer]).far("dams")
    App::FarPictureJob.new(layer.id).perform until far.whole?
  end

  def jobs = Delayed::Job.all.count { |job| job.handler.include?("FarPicture") }

  it "shows some of the features, has all drawn once, and shows these as pixels" do
    layer
    Delayed::Job.delete_all
    first = map
    expect(first).to include('data-incomplete="1"')
    expect(dots(first).scan("M").length).to be_between(1, 12)
    expect([last_response.headers["cache-control"], jobs]).to eq(["no-store", 1])
    map
    expect(jobs).to eq(1)
    work
    whole = map
    expect(whole).not_to include("data-incomplete")
    expect(dots(whole)).to match(%r{<image [^>]*href="data:image/png;base64,})
    # Nearer by, each is drawn as it is.
    ask("/api/books/#{book.id}/ground.svg?box=402000,6528400,402100,6528500&width=1000&height=1000")
    expect(last_response.body).not_to include("<image")
  end

  # At a scale where the map has names, and on small pictures of sheets, whose legends have its row.
  it "stands in maps with names and in small pictures as the features do" do
    all_drawn
    App::BookChanges.new(App::Book.find(book.id)).apply({"index" => {"scale" => 20_000}}, label: "Scale")
    map
    work
    expect([last_response.status, map.include?("<image")]).to eq([200, true])
    small = App::Snapshot.new(App::Book.find(book.id)).sheet_svg(1, thumb: true)
    plain = App::Snapshot.new(App::Book.find(book.id)).sheet_svg(1)
    rows = ->(svg) { svg.scan(/data-part="([^"]*)"/).flatten.uniq - %w[dams] }
    expect(small).to include("<image")
    expect(rows.call(small)).to eq(rows.call(plain))
  end

  # The marker that the layer has, at the place that its file says.
  it "has at each place of a feature the colour of its marker, and nothing between" do
    document = App::Book.find(book.id).core
    all_drawn
    far = described_class.new(document, [layer]).far("dams")
    picture = far.picture(10)
    colour = document.layers.find { |one| one.id == "dams" }.rules.first.symbol.marker.colour
    wanted = colour.delete("#").scan(/../).map(&:hex)
    drawn(layer).each do |feature|
      x, y = TileLoom::Geometry::Wkb.each_run(feature.wkb).first[1]
      pixels, ground = picture.part(TileLoom::Geometry::Box.new(x - 5, y - 5, x + 5, y + 5), far.step)
      step = ground.width / pixels.width
      at =
        pixels.getpoint(
          [((x - ground.min_x) / step).floor, pixels.width - 1].min,
          [((ground.max_y - y) / step).floor, pixels.height - 1].min
        )
      expect(at.last).to be > 200
      expect(at.first(3).zip(wanted).map { |own, want| (own - want).abs }).to all(be < 40)
    end
    middle = layer.extent.centre
    empty = TileLoom::Geometry::Box.new(*middle, *middle).grow(20)
    if drawn(layer).none? { |one| TileLoom::Geometry::Box.new(*one.sides).intersects?(empty.grow(60)) }
      expect(picture.part(empty, far.step)&.first&.extract_band(3)&.max.to_i).to eq(0)
    end
  end

  it "is drawn anew for another look, not for another title, and goes with its layer" do
    all_drawn
    keys = -> { Dir[File.join(App::Rasters.folder(layer.id), "far-1/*")].length }
    change = ->(**more) do
      layers =
        App::Book.find(book.id).document["layers"].map do |entry|
          (entry["id"] == "dams") ? entry.merge(more.transform_keys(&:to_s)) : entry
        end
      App::BookChanges.new(App::Book.find(book.id)).apply({"layers" => layers}, label: "Look")
    end
    change.call(title: "Other")
    expect(map).not_to include("data-incomplete")
    rules =
      App::Book.find(book.id).entry("dams")["rules"].map do |rule|
        rule.merge("symbol" => {"marker" => {"shape" => "square", "size_mm" => 3, "colour" => "#00aa00"}})
      end
    change.call(rules: rules)
    expect(map).to include("data-incomplete")
    work
    expect([map.include?("data-incomplete"), keys.call]).to eq([false, 2])
    App::Layer.find(layer.id).discard
    expect(File.exist?(App::Rasters.folder(layer.id))).to be(false)
  end

  it "gives way to the features themselves where it cannot be drawn, and says so to a look at a book that moved on" do
    allow(TileLoom::Raster::FarPicture).to receive(:new).and_wrap_original do |make, *rest|
      make.call(*rest).tap { |one| allow(one).to receive(:draw_next).and_raise("no ink") }
    end
    layer
    Delayed::Job.delete_all
    map
    3.times do
      Delayed::Job.update_all(run_at: Time.now.utc - 1) &&
        Delayed::Worker.new(quiet: true, exit_on_complete: true).start
    end
    expect(dots(map).scan("M").length).to be >= 20
    App::DrawnBlocks::KEPT.clear
    snapshot = App::Snapshot.new(App::Book.find(book.id))
    App::FeatureBlock.where(layer_id: layer.id).delete_all
    expect { snapshot.source.features("dams", nil) }.to raise_error(TileLoom::Refusal, /CRS of the book was changed/)
  end
end
