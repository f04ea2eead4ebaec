# frozen_string_literal: true

# In a database of its own: brings files in as the application does, then asks for maps. Prints JSON.
# Arguments: a line file, its reference, a points file.
require_relative "../app/boot"
require_relative "apart"
require_relative "area_book"

App::Database.prepare
Delayed::Worker.logger = Logger.new(IO::NULL)
lines, reference, points = ARGV
clock = -> { Process.clock_gettime(Process::CLOCK_MONOTONIC) }

area = TileLoom::Geometry::Box.new(380_000, 6_500_000, 399_000, 6_526_000)
settings = Bench::AreaBook.settings(TileLoom::Geometry::Wkb.box(area), 8000)
book = App::NewBook.from_folio(TileLoom::Document::Folio.new(nil, TileLoom::Document::Book.new(settings)))
bring =
  lambda do |file, key|
    crs = TileLoom::Crs::System.find(reference)
    start = clock.call
    layer = App::LayerImport.new(book).keep(TileLoom::Data::FileReader.open(file, target: crs, lenient: true), key: key)
    look = App::LayerImport.look(layer, title: key, place: book.document["layers"].length)
    book.put("layers" => [*book.document["layers"], {"id" => key, "title" => key, **look}])
    {
      "seconds" => clock.call - start,
      "features" => layer.feature_count,
      "vertices" => layer.vertex_count,
      "megabytes" => Bench::Apart.megabytes
    }
  end
result = {"base_megabytes" => Bench::Apart.megabytes, "lines" => bring.call(lines, "lines")}
start = clock.call
Delayed::Worker.new(quiet: true).work_off
result["levels_seconds"] = clock.call - start

snapshot = App::Snapshot.new(App::Book.find(book.id))
box = book.reload.extent
times =
  lambda do |share, rounds|
    random = Random.new(3)
    (0...rounds).map do
      width = box.width * share
      height = width * 600 / 988.0
      west = box.min_x + random.rand * [box.width - width, 0].max
      south = box.min_y + random.rand * [box.height - height, 0].max
      window = TileLoom::Geometry::Box.new(west, south, west + width, south + height)
      before = clock.call
      snapshot.ground_svg(window, 988, 600)
      clock.call - before
    end
  end
times.call(1.0, 3)
whole = TileLoom::Geometry::Box.new(box.min_x - box.height * 0.41, box.min_y, box.max_x + box.height * 0.41, box.max_y)
result["whole"] = (0...30).map do
  clock.call.then { |before| snapshot.ground_svg(whole, 988, 600).then { clock.call - before } }
end
[1.0, 0.3, 0.1, 0.03, 0.01].each { |share| result["share #{share}"] = times.call(share, 40) }
result["points"] = bring.call(points, "points")
puts JSON.generate(result)
