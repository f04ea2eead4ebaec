# frozen_string_literal: true

require "json"
require "open3"
require_relative "../setup/embedded_database"

module Bench
  # Times of what the application does with MariaDB, proofs unless another child is named; in a process and
  # a server of its own.
  class DatabaseProofs
    def initialize(folio_path, child: "database_child.rb")
      @folio_path, @child = folio_path, child
    end

    # Seconds for each sheet, four times over (or for whatever the child does).
    def times
      Setup::EmbeddedDatabase.temporary do |environment|
        out, status =
          Open3.capture2(
            environment,
            "ruby",
            "--yjit",
            "--yjit-exec-mem-size=64",
            File.join(__dir__, @child),
            @folio_path
          )
        raise "the database measurement failed" unless status.success?
        JSON.parse(out)
      end
    end
  end
end
