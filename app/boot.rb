# frozen_string_literal: true

# Loads the application: the core, the database connection, models, jobs, routes.
ENV["BUNDLE_GEMFILE"] ||= File.expand_path("../Gemfile", __dir__)
ENV["BUNDLE_PATH"] ||= File.expand_path("../vendor/bundle", __dir__)
$LOAD_PATH.unshift(File.expand_path("../lib", __dir__))
require "bundler/setup"
require "active_record"
require "tile_loom"

module App
  ROOT = TileLoom::ROOT

  LOADER = Zeitwerk::Loader.new
  LOADER.push_dir(File.join(ROOT, "app"), namespace: App)
  LOADER.collapse(*%w[models jobs changes imports exports previews platform].map { |folder| "#{ROOT}/app/#{folder}" })
  LOADER.collapse("#{ROOT}/app/platform/*")
  LOADER.ignore("#{ROOT}/app/boot.rb")
  LOADER.enable_reloading if ENV["RELOAD"]
  # Each time that it is read.
  LOADER.on_load("App::WorkQueue") { |queue, _| queue.list = -> { JobList::ALL } }
  LOADER.setup
end

begin
  App::Database.connect
rescue TileLoom::Failure => error
  abort error.message
end
require "delayed_job_active_record"
App::WorkerSettings.apply
