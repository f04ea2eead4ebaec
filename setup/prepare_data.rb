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
rescue ActiveRecord::ActiveRecordError, Trilogy::Error, URI::InvalidURIError, TileLoom::Invalid => error
  address = App::Database.url.sub(%r{//[^@/]*@}, "//")
  abort "The database at #{address} cannot be used: #{error.message.lines.first.strip}"
end
