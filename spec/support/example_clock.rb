# frozen_string_literal: true

# An example that stands still is ended with what every thread and child process was doing, so that the others still run
# and it is known why. Far beyond what any takes on a slow machine: no measure of speed.
class ExampleClock
  # Not for a rescue of the code that stands still.
  Stuck = Class.new(Exception) # standard:disable Lint/InheritException

  SECONDS = 600
  # What cannot be ended from within takes the run with it after this.
  GRACE_S = 60

  def self.watch(name, &block) = new(name).watch(&block)

  def initialize(name, seconds: SECONDS, grace_s: GRACE_S, out: $stderr, stop: -> { exit!(70) })
    @name, @seconds, @grace_s, @out, @stop = name, seconds, grace_s, out, stop
  end

  def watch
    runner = Thread.current
    clock =
      Thread.new do
        sleep @seconds
        @out.puts(report)
        runner.raise(Stuck, "“#{@name}” stood still for #{@seconds} s; what the threads were doing is told above")
        sleep @grace_s
        @out.puts("“#{@name}” cannot be ended, so the run ends here.\n#{report}")
        @stop.call
      end
    yield
  ensure
    clock&.kill
  end

  private

  def report = ["“#{@name}” stands still.", *threads, *children].join("\n")

  def threads = Thread.list.map { |thread| "#{thread.inspect}\n  #{thread.backtrace&.first(40)&.join("\n  ")}" }

  def children
    Dir["/proc/[0-9]*/stat"].filter_map do |file|
      fields = File.read(file)
      number, state, parent = fields[/\A\d+/], *fields[(fields.rindex(")") + 2)..].split.first(2)
      "child #{number} #{fields[/\(.*\)/]} in state #{state}" if parent.to_i == Process.pid
    rescue SystemCallError
      nil
    end
  end
end
