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
      Dir.mktmpdir("tile-loom-bench") do |folder|
        port = TCPServer.open("127.0.0.1", 0) { |server| server.addr[1] }
        server = Setup::EmbeddedDatabase.new(folder: File.join(folder, "mariadb"), port: port)
        $stdout.sync = true
        server.start
        out, status = Open3.capture2({"DATABASE_PORT" => port.to_s, "DATABASE_URL" => nil}, "ruby", "--yjit", File.join(__dir__, "database_child.rb"), @folio_path)
        raise "the database measurement failed" unless status.success?
        JSON.parse(out)
      ensure
        server&.stop
      end
    end
  end
end
