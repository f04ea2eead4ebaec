# frozen_string_literal: true

module TileLoom
  module Bar
    # How a bar is drawn: each style is a file in styles/ and answers `height` and `nodes(xs, zero, top)`.
    module Styles
      ALL = {
        "alternating" => "Alternating",
        "double" => "Double",
        "hollow" => "Hollow",
        "line" => "Line",
        "stepped" => "Stepped",
        "graded" => "Graded",
        "ratio" => "Ratio",
        "pair" => "Pair"
      }.freeze

      # settings: of a scale bar; look: what the element gives of type and colour.
      def self.build(settings, look) = const_get(ALL.fetch(settings.fetch("style", "alternating"))).new(settings, look)
    end
  end
end
