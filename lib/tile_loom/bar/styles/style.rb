# frozen_string_literal: true

module TileLoom
  module Bar
    module Styles
      # What styles have in common. xs: page x of all marks, ascending; zero: which of them is zero; top: page y.
      class Style
        extend Values::Kind
        extend Values::OwnParts

        # style: a Bar::Style; look: a Look.
        def initialize(style, look)
          @style, @look = style, look
        end

        def height = bar_height

        # Do a second unit's marks stand on the same line?
        def pair? = false

        private

        def bar_height = @style.height_mm

        def tick_height = @style.tick_mm

        def cells(xs, top, height) =
          xs.each_cons(2).map { |from, to| [from, top, to, top, to, top + height, from, top + height] }

        # Cells that are dark: every second one, counted from zero.
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
