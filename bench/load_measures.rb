# frozen_string_literal: true

require "socket"
require "tmpdir"
require_relative "load"
require_relative "../setup/embedded_database"
require_relative "../setup/gems"

module Bench
  # Readers, editors and a run beside one another, at a server and workers of their own with the demo book.
  class LoadMeasures
    SECONDS = 25
    ROOT = File.expand_path("..", __dir__)
    RUBY = %w[ruby --yjit --yjit-exec-mem-size=64].freeze
    NICE = %w[nice -n 10].freeze
    private_constant :ROOT, :RUBY, :NICE

    # Rows of the table: [what, value].
    def rows
      Dir.mktmpdir("tile-loom-store") do |store|
        Setup::EmbeddedDatabase.temporary do |environment|
          @environment = Setup::Gems::ENVIRONMENT.merge(environment, "STORE" => store)
          system(@environment, "ruby", "setup/prepare_data.rb", chdir: ROOT, out: File::NULL) or
            raise "the demo book for the measurement of load could not be made"
          notices(served { |port| [Load.new(port, SECONDS).run, Load.new(port, SECONDS).run].last })
        end
      end
    end

    private

    # Gives the block the port of a server that runs, with its workers.
    def served
      port = TCPServer.open("127.0.0.1", 0) { |server| server.addr[1] }
      pids = [
        started(*NICE, *RUBY, "bin/worker"),
        started(*NICE, *RUBY, "bin/worker", "--quick"),
        started(*RUBY, *%w[-S bundle exec puma --silent --config config/puma.rb --bind], "tcp://127.0.0.1:#{port}")
      ]
      wait_for(port)
      yield port
    ensure
      pids&.each { |pid| Process.kill("TERM", -pid) && Process.wait(pid) }
    end

    def started(*command) =
      Process.spawn(@environment, *command, chdir: ROOT, pgroup: true, in: File::NULL, out: File::NULL)

    def wait_for(port)
      600.times do
        return TCPSocket.new("127.0.0.1", port).close
      rescue SystemCallError
        sleep 0.1
      end
      raise "the server for the measurement of load did not start"
    end

    def notices(found)
      pair = ->(kind) { format("%d ms · %d ms", *found[kind].values_at("p50 ms", "p95 ms")) }
      [
        ["#{Load::READERS} readers, #{Load::EDITORS} editors and a run: proofs, p50 · p95", pair["proofs"]],
        ["The same: edits, p50 · p95", "#{pair["edits"]}; #{found["not 200"]} refused"]
      ]
    end
  end
end
