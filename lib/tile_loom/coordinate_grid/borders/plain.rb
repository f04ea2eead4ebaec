# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    module Borders
      # One line.
      class Plain < Border
        kind "plain", "plain", rank: 1

        private

        def body = [outline(inner)]
      end
    end
  end
end
