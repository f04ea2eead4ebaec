# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    module Borders
      # A line with ticks outward at every step.
      class Ticked < Border
        private

        def thickness = @settings.fetch("thickness_mm", 1.5).to_f

        def body = [outline(inner), *ticks]
      end
    end
  end
end
