# frozen_string_literal: true

# In a database of its own: a town's GeoPackage looked at and started as a book, then proofs, maps, the index sheet.
# Prints JSON. Arguments: the file; "start" to measure no more than that.
require_relative "../app/boot"
require_relative "apart"

App::Database.prepare
Delayed::Worker.logger = Logger.new(IO::NULL)
clock = -> { Process.clock_gettime(Process::CLOCK_MONOTONIC) }
timed = ->(&block) { clock.call.then { |start| block.call.then { clock.call - start } } }
# What a job does is measured in a process of its own, as a worker is one: seconds, MB.
apart = ->(&block) do
  Bench::Apart.run do
    ActiveRecord::Base.connection_handler.clear_all_connections!
    timed.call(&block)
  end
end

file, part = ARGV
arrival = App::Arrival.create!(name: File.basename(file))
File.open(file, "rb") { |io| arrival.receive(io) }
result = {}
result["looked"], = apart.call { App::InspectArrivalJob.new(arrival.id).perform }
arrival.reload
chosen = arrival.report.map { |layer| layer.slice("name", "title") }
arrival.import(
  chosen.map { |layer| layer["name"] },
  choice: {
    "start" => {
      "layers" => chosen,
      "area" => "district",
      "scale" => 10_000,
      "title" => "Town"
    }
  }
)
result["started"], result["start_megabytes"] = apart.call { App::StartBookJob.new(arrival.id).perform }
book = App::Book.find(arrival.reload.book_id)
result["cells"] = book.index.rows.length
(puts JSON.generate(result)) || exit if part == "start"

book = App::Book.find(book.id)
snapshot = App::Snapshot.new(book)
box = book.extent
map = ->(share, random) do
  width = box.width * share
  height = width * 600 / 988.0
  west = box.min_x + random.rand * [box.width - width, 0].max
  south = box.min_y + random.rand * [box.height - height, 0].max
  TileLoom::Geometry::Box.new(west, south, west + width, south + height)
end
snapshot.ground_svg(map.call(0.01, Random.new(5)), 988, 600)
result["first_map"] = timed.call { snapshot.ground_svg(map.call(1.0, Random.new(3)), 988, 600) }
result["levels"], result["levels_megabytes"] =
  apart.call { Delayed::Worker.new(quiet: true, exit_on_complete: true).start }
counted = snapshot.cells.map { |cell| [snapshot.source.count("buildings", cell.ground.box), cell.number] }.sort.reverse
result["most_buildings"] = counted.first[0]
dense = counted.first(12).map(&:last)
forget = -> { [App::DrawnParts::ALL, App::DrawnBlocks::KEPT, App::WrittenElements::KEPT].each(&:clear) }
draw = ->(shown, number) { shown.sheet_svg(number) }
2.times { draw.call(snapshot, dense.first) }
result["cold"] = dense.map do |number|
  forget.call
  timed.call { draw.call(App::Snapshot.new(App::Book.find(book.id)), number) }
end
after = ->(number, &change) do
  draw.call(App::Snapshot.new(App::Book.find(book.id)), number)
  now = App::Book.find(book.id)
  App::BookChanges.new(now).apply(change.call(now.document), label: "Change")
  changed = App::Snapshot.new(App::Book.find(book.id))
  timed.call { draw.call(changed, number) }
end
result["text_changed"] = dense.map { |number| after.call(number) { {"subtitle" => "Edition #{number}"} } }
result["element_changed"] = dense.map do |number|
  after.call(number) do |document|
    *others, last = document["layout"]["elements"]
    {"layout" => document["layout"].merge("elements" => [*others, last.merge("title" => "Last #{number}")])}
  end
end
random = Random.new(3)
result["maps"] = [1.0, 0.5, 0.25, 0.12, 0.06, 0.03].to_h do |share|
  [share, Array.new(12) { window = map.call(share, random) and timed.call { snapshot.ground_svg(window, 988, 600) } }]
end
# All sheets to PDF, each process of its own taking the next that is left, as workers do. No process of the application
# forks after drawing maps, so that waiting for libvips is none of it.
TileLoom::Artwork::IdleThreads.gone
pressed = ->(numbers) do
  folio = App::Book.find(book.id)
  press = TileLoom::Output::Press.new(book: folio.core, source: folio.source)
  cells = press.book.cells(press.source)
  numbers.each { |number| press.page(cells[number]).dump }
end
result["pressed"] = timed.call do
  halves = (0...snapshot.cells.length).partition(&:even?)
  halves.map { |half| Thread.new { apart.call { pressed.call(half) } } }.each(&:join)
end
result["index"] = timed.call { result["index_bytes"] = snapshot.index_svg.bytesize }
result["megabytes"] = Bench::Apart.megabytes
puts JSON.generate(result)
