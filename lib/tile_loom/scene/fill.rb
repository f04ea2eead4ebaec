# frozen_string_literal: true

module TileLoom
  module Scene
    # An area colour: "#rrggbb" and opacity 0…1; gradient: a Gradient in its place, or nil.
    Fill =
      Struct.new(:colour, :opacity, :gradient, keyword_init: true) do
        prepend Node

        def initialize(colour:, opacity: 1.0, gradient: nil) = super
      end

    Fill::PARTS = {
      colour: Values::Part.new(:colour, Values::Types::COLOUR, required: true),
      opacity: Values::Part.new(:opacity, Values::Types::OPACITY, default: 1)
    }.freeze
    Fill::TYPE = Values::Record.new("fill", Fill::PARTS) { |**parts| Fill.new(**parts) }
  end
end
