# frozen_string_literal: true

module TileLoom
  # Long work says here how far it is, whoever listens: a listener counts, shows progress, or raises to end the work.
  # Steps are counted, not seconds, so that what a listener does depends on the work alone. Of a thread.
  module Pulse
    module_function

    # Hears what the block does. listener: with step(count) and expect(count).
    def with(listener)
      before = Thread.current.thread_variable_get(:tile_loom_pulse)
      Thread.current.thread_variable_set(:tile_loom_pulse, listener)
      yield
    ensure
      Thread.current.thread_variable_set(:tile_loom_pulse, before)
    end

    # Some steps were done; one is about the work of looking at one cell.
    def step(count = 1) = Thread.current.thread_variable_get(:tile_loom_pulse)&.step(count)

    # So many more steps are to come.
    def expect(count) = Thread.current.thread_variable_get(:tile_loom_pulse)&.expect(count)
  end
end
