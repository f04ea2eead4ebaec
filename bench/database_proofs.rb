# frozen_string_literal: true

require "json"
require "open3"
require_relative "../setup/embedded_database"

module Bench
  # Times of proofs drawn from MariaDB, as the application does; in a process and a server of its own.
  class DatabaseProofs
    def initialize(folio_path) = @folio_path = folio_path

    # Seconds for each sheet, four times over.
    def times
      Setup::EmbeddedDatabase.temporary do |environment|
        out, status = Open3.capture2(environment, "ruby", "--yjit", File.join(__dir__, "database_child.rb"), @folio_path)
        raise "the database measurement failed" unless status.success?
        JSON.parse(out)
      end
    end
  end
end
