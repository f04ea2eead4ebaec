# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    module Borders
      # One line.
      class Plain < Border
        private

        def body = [outline(inner)]
      end
    end
  end
end
