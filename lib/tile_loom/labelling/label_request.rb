# frozen_string_literal: true

module TileLoom
  module Labelling
    # A label that a feature is to have. layer: a Symbology::Layer; rule: its Symbology::Labels::Rule; feature: the
    # Data::Feature (of several that belong together the first); string: its text in one line; x, y: where it belongs,
    # in page mm; unplaced_cost: what it costs where it has no place; shown: is what it belongs to in the frame?; group:
    # what has several labels of which one is enough, or nil; places: Candidate list, the cheapest among them; others:
    # gives further ones for a Box of the page, or all for nil, once another label or a symbol wants the room of the
    # first; more: gives those that are thought of where none of these will do, or nil; number: of several along a line
    # which one; hand: what was done to it by hand, or nil.
    class LabelRequest
      attr_reader :layer, :rule, :feature, :string, :x, :y, :shown, :group, :places, :others, :more, :number, :hand
      attr_accessor :unplaced_cost

      # Written out, as a sheet has hundreds: a Struct with names takes three times as long.
      def initialize(
        layer:,
        rule:,
        feature:,
        string:,
        x:,
        y:,
        unplaced_cost:,
        shown:,
        group:,
        places:,
        others:,
        more:,
        number:,
        hand:
      )
        @layer, @rule, @feature, @string, @x, @y = layer, rule, feature, string, x, y
        @unplaced_cost, @shown, @group, @places, @others, @more = unplaced_cost, shown, group, places, others, more
        @number, @hand = number, hand
      end
    end
  end
end
