# frozen_string_literal: true

# A history of 10,000 steps of the demo book: what it takes in the database, and how long the book as it was is waited
# for. Then changes of one colour, as a browser asks for them, at 16 layers and about 1,000 cells.
require_relative "../app/boot"
require "rack/test"

App::Database.prepare

module Bench
  # A browser that holds the book.
  class OneHand
    include Rack::Test::Methods

    SERVER = App::Server.build.to_app

    def app = SERVER

    attr_reader :sent, :answered

    def initialize(book)
      @path, @revision = "/api/books/#{book.id}", book.revision
    end

    # Seconds until the answer.
    def change(path, value)
      body = JSON.generate({label: "Colour", operations: [{op: "add", path: path, value: value}]})
      start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      patch(
        @path,
        body,
        "CONTENT_TYPE" => "application/json",
        "HTTP_HOST" => "localhost",
        "HTTP_X_SESSION" => "bench-session",
        "HTTP_X_REVISION" => @revision.to_s
      )
      took = Process.clock_gettime(Process::CLOCK_MONOTONIC) - start
      raise last_response.body unless last_response.ok?
      @revision = JSON.parse(last_response.body)["revision"]
      @sent, @answered = body.bytesize, last_response.body.bytesize
      took
    end
  end
end

book = App::NewBook.from_folio(TileLoom::Document::Folio.read(ARGV.first))
labelled = book.document["layers"].find { |layer| layer["labels"]&.any? }
colour = "/layers/#{labelled["id"]}/labels/#{labelled["labels"][0]["id"]}/colour"
random = Random.new(1)
steps = Integer(ENV.fetch("STEPS", "10000"))
steps.times do |number|
  known = App::Book.find(book.id)
  changes = App::BookChanges.new(known, session: "bench-session")
  if (number % 4).zero?
    changes.of_cells("Move cells") do
      cells = known.index.core_cells
      place = random.rand(cells.length)
      moved = cells[place].with(ground: cells[place].ground.moved(random.rand(20.0) - 10, random.rand(20.0) - 10))
      known.index.keep([*cells.first(place), moved, *cells.drop(place + 1)])
    end
  else
    changes.asked(
      {
        "label" => "Colour",
        "operations" => [{"op" => "add", "path" => colour, "value" => format("#%06x", random.rand(0xffffff))}]
      }
    )
  end
end
tables = %w[edits book_states].map { |name| "'#{name}'" }.join(",")
ActiveRecord::Base.connection.execute("ANALYZE TABLE edits, book_states")
bytes =
  ActiveRecord::Base.connection.select_value(
    "SELECT SUM(data_length + index_length) FROM information_schema.TABLES WHERE table_schema = DATABASE() AND " \
      "table_name IN (#{tables})"
  )
looks =
  Array.new(40) do
    position = random.rand(steps)
    start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    App::History.new(App::Book.find(book.id)).book_at(position)
    Process.clock_gettime(Process::CLOCK_MONOTONIC) - start
  end

# The same ground at a scale of about 1,000 cells.
App::BookChanges.new(App::Book.find(book.id)).apply({"index" => {"scale" => 370}}, label: "Scale")
book = App::Book.find(book.id)
hand = Bench::OneHand.new(book)
times = Array.new(60) { |number| hand.change(colour, format("#%06x", number * 4000)) }.drop(10)
puts JSON.generate(
  {
    "steps" => steps,
    "bytes" => bytes.to_i,
    "looks" => looks,
    "cells" => book.index.rows.length,
    "layers" => book.document["layers"].length,
    "sent" => hand.sent,
    "answered" => hand.answered,
    "times" => times
  }
)
