# frozen_string_literal: true

module TileLoom
  module Symbology
    # What the features of a layer are. A kind of layer is a file in layer_kinds/: it declares what well-known binary
    # calls its shapes, what they are drawn with, and the symbol that a new layer of it begins with.
    class LayerKind
      extend Values::Kind

      class << self
        # Types of well-known binary (OGC 06-103r4, table 7), or none.
        def types(*numbers) = numbers.empty? ? @types || [] : @types = numbers.freeze

        # Is it drawn by markers, by strokes, by fills?
        def markers? = false

        def strokes? = false

        def fills? = false

        # A new layer's symbol as the document has it; colour: "#rrggbb".
        def symbol(_colour) = raise(NotImplementedError)
      end
    end
  end
end
