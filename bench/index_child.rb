# frozen_string_literal: true

# The demo book at a scale of about a thousand cells; answers of the whole application to one that is moved.
require_relative "../app/boot"
require "rack/mock"

App::Database.prepare
book = App::NewBook.from_folio(TileLoom::Document::Folio.read(ARGV.first))
App::BookChanges.new(book).apply({"index" => {"scale" => 370}}, label: "Scale")
server = Rack::MockRequest.new(App::Server.build.to_app)
warn "#{App::Book.find(book.id).index.cells.count} cells"
ids = App::Book.find(book.id).index.rows.map { |row| row["cell_id"] }
times =
  (0...50).map do |index|
    body =
      JSON.generate(
        {
          "do" => "move",
          "cells" => [ids[index * 7]],
          "dx" => 1.5,
          "dy" => -0.5,
          "revision" => App::Book.where(id: book.id).pick(:revision)
        }
      )
    start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    answer =
      server.post(
        "/api/books/#{book.id}/cells",
        :input => body,
        "CONTENT_TYPE" => "application/json",
        "HTTP_HOST" => "localhost"
      )
    abort answer.body[0, 300] unless answer.status == 200
    Process.clock_gettime(Process::CLOCK_MONOTONIC) - start
  end
puts JSON.generate(times.drop(10))
