# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    module Borders
      # Two lines, the outer one heavier, with ticks between them at every step.
      class Double < Border
        private

        def thickness = @settings.fetch("thickness_mm", 2.0).to_f

        def body = [outline(inner, thin), *ticks, outline(outer)]

        def thin = stroke.dup.tap { |line| line.width_mm = stroke.width_mm / 2 }
      end
    end
  end
end
