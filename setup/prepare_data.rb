# frozen_string_literal: true

# Migrates the database (after a dump of what is there), adds the demo book where there is none, frees work of workers
# that died, sweeps out what nobody will ask for again.

require "bundler/setup"
require_relative "../app/boot"
require_relative "dumps"

begin
  App::Database.prepare do
    puts "A dump from before the change of tables: #{Setup::Dumps.new(App::Database.url).make("before-migration")}"
  end
  warning = TileLoom::Sandbox::Confinement.warning and puts warning
  App::WorkerSettings.free_orphans
  App::Sweep.new.run.each { |sentence| puts sentence }
  App::SweepJob.see_to
  if App::Book.none?
    puts "Adding the demo book"
    demo = App::NewBook.from_folio(TileLoom::Document::Folio.read(File.join(App::ROOT, "demo/skarrow-moss.json")))
    # Its background tiles come from the stand-in that was started beside it.
    if (port = ENV["TILE_STAND_IN"])
      layers =
        demo.document["layers"].map do |entry|
          next entry unless (tiles = entry["tiles"])
          entry.merge("tiles" => tiles.merge("url" => tiles["url"].sub(%r{:\d+(?=/)}, ":#{port}")))
        end
      demo.put("layers" => layers)
    end
  end
rescue ActiveRecord::ActiveRecordError,
  Trilogy::Error,
  URI::InvalidURIError,
  TileLoom::Refusal,
  TileLoom::Failure,
  Setup::Failure => error
  address = App::Database.url.sub(%r{//[^@/]*@}, "//")
  abort "The database at #{address} cannot be used: #{error.message.lines.first.strip}"
end
