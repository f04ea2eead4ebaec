# frozen_string_literal: true

module TileLoom
  module Bar
    module Styles
      # Divisions in outline.
      class Outline < Style
        kind "outline", "outline", rank: 3

        def nodes(xs, _zero, top) =
          [frame(xs, top, height), lines(xs[1..-2].map { |x| [x, top, x, top + height] })].reject do |node|
            node.runs.empty?
          end
      end
    end
  end
end
