# frozen_string_literal: true

module App
  # How much work a request may do itself; more is for a job. (A listener of TileLoom::Pulse.)
  class StepBudget
    # The work is more than a request does.
    class Exceeded < StandardError
    end

    # About a second of generating cells.
    STEPS = 20_000

    def self.hold(steps = STEPS, &block) = TileLoom::Pulse.with(new(steps), &block)

    def initialize(steps) = @left = steps

    def step(count)
      @left -= count
      raise Exceeded if @left.negative?
    end

    # What is known to be too much is not begun.
    def expect(count) = count > @left && raise(Exceeded)
  end
end
