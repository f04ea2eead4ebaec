# frozen_string_literal: true

# For specs that need the application and its database: `bin/test app`.
require_relative "../app/boot"
require "rack/test"
require_relative "support/held_answers"

App::Database.prepare
Delayed::Worker.logger = Logger.new(IO::NULL)

module AppSpecs
  def empty_database
    tables = ActiveRecord::Base.connection.tables - %w[schema_migrations ar_internal_metadata]
    ActiveRecord::Base.connection.disable_referential_integrity do
      tables.each do |table|
        ActiveRecord::Base.connection.execute("DELETE FROM #{ActiveRecord::Base.connection.quote_table_name(table)}")
      end
    end
  end

  # A copy of its document, to be changed at will.
  def document_of(book) = JSON.parse(JSON.generate(App::Book.find(book.id).document))

  # A layer of features that comes to the book, on top. Returns its row.
  def brought(book, reader, key:, title:, look: nil)
    layer = App::LayerImport.new(book).keep(reader, key: key)
    before = book.document["layers"]
    look ||= App::LayerImport.look(layer, title: title, place: before.length)
    book.put("layers" => [*before, {"id" => key, "title" => title, **look}])
    layer
  end

  # The TileLoom::Data::Features of a layer as they are drawn.
  def drawn(layer) = App::FeatureSource.new([layer]).features(layer.key, nil)

  # A book of one area of 2 km × 1 km and a few points, in the database.
  def kept_book(scale: 2500, **changes)
    reference = "EPSG:25829"
    crs = {"type" => "name", "properties" => {"name" => reference}}
    area = {
      "type" => "FeatureCollection",
      "crs" => crs,
      "features" => [
        {
          "type" => "Feature",
          "properties" => {
            "name" => "Moss"
          },
          "geometry" => {
            "type" => "Polygon",
            "coordinates" => [
              [
                [402_000, 6_528_000],
                [404_000, 6_528_000],
                [404_000, 6_529_000],
                [402_000, 6_529_000],
                [402_000, 6_528_000]
              ]
            ]
          }
        }
      ]
    }
    dams = {
      "type" => "FeatureCollection",
      "crs" => crs,
      "features" =>
        (0...20).map do |i|
          {
            "type" => "Feature",
            "properties" => {
              "code" => "D#{i}"
            },
            "geometry" => {
              "type" => "Point",
              "coordinates" => [402_050 + i * 100, 6_528_500]
            }
          }
        end
    }
    settings =
      TileLoom::Document::Starter.document(
        title: "Test moss",
        reference: reference,
        area: "area",
        scale: scale,
        layers: [
          {id: "area", title: "Area", kind: "area", data: {"collection" => area}},
          {id: "dams", title: "Dams", kind: "point", data: {"collection" => dams}}
        ]
      )
    App::NewBook.from_folio(
      TileLoom::Document::Folio.new(
        nil,
        TileLoom::Document::Book.new(deep_merge(settings, JSON.parse(JSON.generate(changes))))
      )
    )
  end
end

RSpec.configure do |config|
  config.include AppSpecs
  config.include Rack::Test::Methods
end

SERVER = HeldAnswers.new(App::Server.build.to_app)

module Requests
  def app = SERVER

  def answer = JSON.parse(last_response.body)

  def send_json(method, path, body)
    public_send(method, path, JSON.generate(body), "CONTENT_TYPE" => "application/json", "HTTP_HOST" => "localhost")
  end

  def ask(path) = get(path, {}, "HTTP_HOST" => "localhost")
end

RSpec.configure { |config| config.include Requests }
