# frozen_string_literal: true

module TileLoom
  module Scene
    # A flat area colour: "#rrggbb" and opacity 0…1.
    Fill = Struct.new(:colour, :opacity, keyword_init: true) { def initialize(colour:, opacity: 1.0) = super }
  end
end
