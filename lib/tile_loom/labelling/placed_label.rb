# frozen_string_literal: true

module TileLoom
  module Labelling
    # A label that has a place. layer: Symbology::Layer; rule: its Symbology::Labels::Rule; feature: the Data::Feature;
    # string: its text; x, y: where it belongs, in page mm; place: the Place; number, hand: see Wanted.
    PlacedLabel =
      Struct.new(:layer, :rule, :feature, :string, :x, :y, :place, :number, :hand) do
        # The middle of what its text takes, without a leader line, in page mm.
        def middle
          patches = place.leader ? place.patches[..-2] : place.patches
          [
            (patches.map { |patch| patch[0] }.min + patches.map { |patch| patch[2] }.max) / 2,
            (patches.map { |patch| patch[1] }.min + patches.map { |patch| patch[3] }.max) / 2
          ]
        end

        # Flat rings in page mm of what it takes.
        def rings = place.patches.map { |patch| Footprint.corners(patch) }
      end
  end
end
