# frozen_string_literal: true

require "etc"
require "tempfile"
require_relative "gems"
require_relative "shell"

module Setup
  # Specs in batches, each an rspec of its own with tables and a store of its own, as many at once as there are
  # processors, those that take longest first. What a batch says comes when it has ended.
  class SideBySide
    # How long a batch may take. (They end long before, but on a machine with much other work.)
    MINUTES = 90

    # batches: name → files; environment: what leads to the database, or nothing for specs that need none.
    def initialize(batches, options: [], environment: {}, lanes: Etc.nprocessors)
      @waiting = Queue.new
      batches.each { |batch| @waiting << batch }
      @waiting.close
      @options, @environment, @lanes = options, environment, lanes
      @telling = Mutex.new
    end

    # Returns the worst exit status.
    def run = Array.new(@lanes) { Thread.new { lane } }.flat_map(&:value).max || 0

    private

    def lane
      statuses = []
      while (batch = @waiting.pop)
        statuses << ended(*batch)
      end
      statuses
    end

    def ended(name, files)
      Tempfile.create("specs-#{name}") do |said|
        started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        status = wait_for(spawn(name, files, said.path))
        seconds = (Process.clock_gettime(Process::CLOCK_MONOTONIC) - started).round
        @telling.synchronize do
          Shell.say "· specs of #{name}, #{seconds} s\n#{File.read(said.path)}"
          warn "The specs of #{name} did not end within #{MINUTES} minutes, so they were ended." unless status
        end
        status&.success? ? 0 : 1
      end
    end

    def spawn(name, files, path) =
      Process.spawn(
        Gems::ENVIRONMENT.merge(own(name)),
        "bundle",
        "exec",
        "rspec",
        *files,
        *@options,
        chdir: Shell::ROOT,
        out: path,
        err: path
      )

    def own(name)
      return {} if @environment.empty?
      key = name.delete("^a-z0-9")
      @environment.merge(
        "DATABASE_NAME" => "#{@environment["DATABASE_NAME"]}_#{key}",
        "STORE" => "#{@environment["STORE"]}-#{key}"
      )
    end

    # Returns the status, or nil where it had to be ended.
    def wait_for(running)
      (MINUTES * 60).times { Process.wait2(running, Process::WNOHANG)&.then { |_, status| return status } || sleep(1) }
      Process.kill("KILL", running)
      Process.wait(running)
      nil
    end
  end
end
