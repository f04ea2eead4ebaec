# frozen_string_literal: true

module TileLoom
  module Labelling
    # A label that has a place. layer: Symbology::Layer; rule: its Symbology::Labels::Rule; feature: the Data::Feature;
    # string: its text; x, y: where it belongs, in page mm; place: the Candidate; number, hand: see LabelRequest.
    PlacedLabel =
      Struct.new(:layer, :rule, :feature, :string, :x, :y, :place, :number, :hand) do
        # The middle of what its text takes, without a leader line, in page mm.
        def middle
          footprints = place.leader ? place.footprints[..-2] : place.footprints
          [
            (footprints.map { |footprint| footprint[0] }.min + footprints.map { |footprint| footprint[2] }.max) / 2,
            (footprints.map { |footprint| footprint[1] }.min + footprints.map { |footprint| footprint[3] }.max) / 2
          ]
        end

        # Flat rings in page mm of what it takes.
        def rings = place.footprints.map { |footprint| Footprint.corners(footprint) }
      end
  end
end
