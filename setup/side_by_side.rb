# frozen_string_literal: true

require "etc"
require "tempfile"
require_relative "gems"
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
          Process.spawn(Gems::ENVIRONMENT.merge(environment || {}), *command, chdir: dir, out: path, err: path)
      end

    def initialize(checks, lanes: Etc.nprocessors)
      @waiting = Queue.new
      checks.each { |check| @waiting << check }
      @waiting.close
      @lanes = lanes
      @telling = Mutex.new
    end

    # Returns the exit status: 1 where one failed, which are named at the end.
    def run
      failed = Array.new(@lanes) { Thread.new { lane } }.flat_map(&:value)
      failed.each { |name| warn "#{name} found something to mend (see above)." }
      failed.any? ? 1 : 0
    end

    private

    # Names of those that failed.
    def lane
      failed = []
      while (check = @waiting.pop)
        failed << check.name unless succeeded?(check)
      end
      failed
    end

    def succeeded?(check)
      Tempfile.create("check") do |said|
        started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        status = wait_for(check.spawn(said.path))
        seconds = (Process.clock_gettime(Process::CLOCK_MONOTONIC) - started).round
        @telling.synchronize do
          Shell.say "· #{check.name}, #{seconds} s\n#{File.read(said.path)}"
          warn "#{check.name} did not end within #{MINUTES} minutes and was ended." unless status
        end
        status&.success?
      end
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
