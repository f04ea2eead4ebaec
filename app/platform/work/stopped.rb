# frozen_string_literal: true

module App
  # Someone has stopped the work.
  class Stopped < StandardError
  end
end
