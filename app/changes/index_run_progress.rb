# frozen_string_literal: true

module App
  # Keeps the count of steps of an IndexRun where the browser sees it, and ends the work when it is not wanted any more.
  # (A listener of TileLoom::Pulse.)
  class IndexRunProgress
    EVERY_S = 0.5

    def initialize(run)
      @run = run
      @done = @total = 0
      @said_at = 0.0
    end

    def expect(count) = @total += count

    def step(count)
      @done += count
      now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      return if now - @said_at < EVERY_S
      @said_at = now
      raise Stopped unless @run.wanted?
      @run.update_columns(done: [@done, @total].min, total: @total)
    end
  end
end
