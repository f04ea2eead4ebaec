# frozen_string_literal: true

module TileLoom
  module Symbology
    # A symbol for the features that meet a condition (all of them where it has none).
    class Rule < Values::Value
      include Conditional

      # A rule of a layer without one takes that of the rule of the same condition before it.
      IDS = Values::EntryIds.new("rule", by: "when")

      define "rule"
      part :id, Values::Types::ID, about: "By which edits of legends know it, whatever becomes of its title."
      part :title, text(most: 200), required: true
      part :condition,
        Conditions::ConditionType.new(of_sheet: true),
        key: "when",
        about: "A condition in OGC CQL2 JSON (OGC 21-065r2)."
      part :symbol, MapSymbol.type, required: true

      # With sizes that many times as large.
      def scaled(factor) = reckoned(symbol: symbol.scaled(factor))

      # [from, to] of the numbers that it is for, nil for an end that it leaves open; nil where its condition is not of
      # that kind.
      def range = condition&.range
    end
  end
end
