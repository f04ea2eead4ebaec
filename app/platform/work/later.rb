# frozen_string_literal: true

module App
  # A job has to wait for another; it comes again by itself, and that is no failure of its own.
  class Later < StandardError
    SECONDS = 2
  end
end
