# frozen_string_literal: true

module App
  # Keeps the count of steps of a Weaving where the browser sees it, and ends the work when it is not wanted any more.
  # (A listener of TileLoom::Pulse.)
  class WeavingProgress
    EVERY_S = 0.5

    def initialize(weaving)
      @weaving = weaving
      @done = @total = 0
      @told = 0.0
    end

    def expect(count) = @total += count

    def step(count)
      @done += count
      now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      return if now - @told < EVERY_S
      @told = now
      raise Stopped unless @weaving.wanted?
      @weaving.update_columns(done: [@done, @total].min, total: @total)
    end
  end
end
