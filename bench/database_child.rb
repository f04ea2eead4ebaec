# frozen_string_literal: true

require_relative "../app/boot"

App::Database.prepare
book = App::NewBook.from_folio(TileLoom::Document::Folio.read(ARGV.first))
snapshot = App::Snapshot.of(book.reload)
numbers = snapshot.cells.map(&:number)
numbers.first(10).each { |number| snapshot.sheet_svg(number) }
# Each is drawn whole, as if for the first time.
times =
  (numbers * 4).map do |number|
    [App::DrawnParts::ALL, App::WrittenElements::KEPT].each(&:clear)
    start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    snapshot.sheet_svg(number)
    Process.clock_gettime(Process::CLOCK_MONOTONIC) - start
  end
puts JSON.generate(times)
