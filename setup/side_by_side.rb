# frozen_string_literal: true

require "tempfile"
require_relative "gems"
require_relative "lanes"
require_relative "shell"

module Setup
  # Checks that need not wait for one another, as many at once as there are processors, in the order given. What one
  # says comes when it has ended.
  class SideBySide
    # How long one may take. (They end long before, but on a machine with much other work.)
    MINUTES = 90

    # name: what is said of it; command: a list; dir: where it runs; environment: what it finds besides the gems.
    Check =
      Struct.new(:name, :command, :dir, :environment, keyword_init: true) do
        def spawn(path) =
          Process.spawn(Gems::ENVIRONMENT.merge(environment), *command, chdir: dir, out: path, err: path)
      end

    def initialize(checks)
      @checks = checks
      @telling = Mutex.new
    end

    # Returns the exit status: 1 where one failed, which are named at the end.
    def run
      failed = Lanes.map(@checks) { |check| check.name unless succeeded?(check) }.compact
      failed.each { |name| warn "#{name} found something to mend (see above)." }
      failed.any? ? 1 : 0
    end

    private

    def succeeded?(check)
      Tempfile.create("check") do |said|
        started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        status = Lanes.status_of(check.spawn(said.path), seconds: MINUTES * 60)
        seconds = (Process.clock_gettime(Process::CLOCK_MONOTONIC) - started).round
        @telling.synchronize do
          Shell.say "· #{check.name}, #{seconds} s\n#{File.read(said.path)}"
          warn "#{check.name} did not end within #{MINUTES} minutes and was ended." unless status
        end
        status&.success?
      end
    end
  end
end
