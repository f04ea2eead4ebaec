# frozen_string_literal: true

module TileLoom
  module Scene
    # colour "#rrggbb", width_mm, dash_mm ([on, off, …] or nil), cap and join as PDF and SVG name them
    # (butt, round, square; miter, round, bevel), opacity 0…1.
    Stroke =
      Struct.new(:colour, :width_mm, :dash_mm, :cap, :join, :opacity, keyword_init: true) do
        prepend Node

        def initialize(colour: "#1f2a30", width_mm: 0.2, dash_mm: nil, cap: "butt", join: "round", opacity: 1.0) = super

        # The same stroke for paper that many times as large; 1.0 is this one itself.
        def scaled(factor)
          return self if (factor - 1).abs < 1e-12
          with(width_mm: width_mm * factor, dash_mm: dash_mm&.map { |length| length * factor })
        end
      end

    dash = Values::List.new(Values::Number.new(above: 0, most: 1000), least: 1, most: 12)
    Stroke::PARTS = {
      colour: Values::Part.new(:colour, Values::Types::COLOUR, default: "#1f2a30"),
      width_mm: Values::Part.new(:width_mm, Values::Number.new(above: 0, most: 100), default: 0.2),
      dash_mm: Values::Part.new(:dash_mm, dash),
      cap: Values::Part.new(:cap, Values::Choice.new(butt: "flat", round: "round", square: "square"), default: "butt"),
      join: Values::Part.new(:join, Values::Choice.new(round: "round", miter: "sharp", bevel: "cut"), default: "round"),
      opacity: Values::Part.new(:opacity, Values::Types::OPACITY, default: 1)
    }.freeze
    Stroke::TYPE = Values::Record.new("stroke", Stroke::PARTS) { |**parts| Stroke.new(**parts) }
  end
end
