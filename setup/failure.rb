# frozen_string_literal: true

module Setup
  # Something that keeps Tile Loom from starting, in one clear sentence.
  class Failure < StandardError
  end
end
