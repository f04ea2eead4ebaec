# frozen_string_literal: true

# The dump of the day; see Setup::Dumps.

require "bundler/setup"
require_relative "../app/boot"
require_relative "dumps"

begin
  Setup::Dumps.new(App::Database.url).make
rescue Setup::Failure, SystemCallError => error
  abort "The dump of the day could not be made: #{error.message}"
end
