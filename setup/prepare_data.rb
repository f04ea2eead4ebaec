# frozen_string_literal: true

# Migrates the database, adds the demo book where there is none, frees work of workers that died.

require "bundler/setup"
require_relative "../app/boot"

begin
  App::Database.prepare
  App::WorkerSettings.free_orphans
  if App::Book.none?
    puts "Adding the demo book"
    App::NewBook.from_folio(TileLoom::Book::Folio.read(File.join(App::ROOT, "demo/skarrow-moss.json")))
  end
rescue ActiveRecord::ConnectionNotEstablished, ActiveRecord::StatementInvalid, Trilogy::Error => error
  address = URI.parse(App::Database.url)
  abort "The database at #{address.host}:#{address.port || 3306} does not answer as it should: #{error.message.lines.first.strip}"
end
