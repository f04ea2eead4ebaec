# frozen_string_literal: true

module TileLoom
  module Symbology
    # What a legend can list: a title and a Symbol for geometry of a shape (:point, :line, :area), or a ColourBar.
    #
    # key: the layer's id and the rule's or class's, by which edits know it; layer: the Layer; range: [from, to] of the
    # numbers that it stands for, an end nil where it is open, or nil; unit: of these, or nil.
    LegendEntry =
      Struct.new(:key, :title, :layer, :shape, :symbol, :bar, :range, :unit, keyword_init: true) do
        # Of a layer of features; shape: of what the rule draws, or nil where nothing is drawn yet.
        def self.of_rule(layer, rule, shape = nil)
          new(
            key: "#{layer.id}/#{layer.key_of(rule)}",
            title: rule.title,
            layer: layer,
            shape: shape || rule.symbol.shape,
            symbol: rule.symbol,
            range: rule.range
          )
        end
      end
  end
end
