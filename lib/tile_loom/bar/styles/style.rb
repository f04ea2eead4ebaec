# frozen_string_literal: true

module TileLoom
  module Bar
    module Styles
      # What styles have in common. xs: page x of all marks, ascending; zero: which of them is nought; top: page y.
      class Style
        HEIGHT_MM, TICK_MM = 1.6, 1.6

        def initialize(settings, look)
          @settings, @look = settings, look
        end

        def height = bar_height

        # Do a second unit's marks stand on the same line?
        def pair? = false

        private

        def bar_height = @settings.fetch("height_mm", HEIGHT_MM).to_f

        def tick_height = @settings.fetch("tick_mm", TICK_MM).to_f

        def cells(xs, top, height) =
          xs.each_cons(2).map { |from, to| [from, top, to, top, to, top + height, from, top + height] }

        # Cells that are dark: every second one, counted from nought.
        def dark(list, zero, first: 0) =
          list.each_with_index.select { |_, index| (index - zero + first).even? }.map(&:first)

        def filled(runs) = runs.empty? ? [] : [Scene::Path.new(runs: runs, closed: true, fill: @look.dark)]

        def frame(xs, top, height) =
          Scene::Path.new(
            runs: [[xs.first, top, xs.last, top, xs.last, top + height, xs.first, top + height]],
            closed: true,
            fill: @look.pale,
            stroke: @look.stroke
          )

        def lines(runs) =
          Scene::Path.new(
            runs: runs,
            closed: false,
            stroke: Scene::Stroke.new(colour: @look.colour, width_mm: @look.stroke_mm, cap: "square", join: "miter")
          )
      end
    end
  end
end
