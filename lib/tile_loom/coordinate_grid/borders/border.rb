# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    module Borders
      # What borders have in common: a margin between the ground and the border, a line at the ground's edge,
      # and steps along the sides, by a grid's lines on their true course or evenly.
      class Border
        extend Values::Kind
        extend Values::OwnParts

        # Where a step begins on one side: at the border's inner edge and at its outer one, along the side in mm.
        Step = Struct.new(:inner, :outer, keyword_init: true)
        STEP_MM = 20.0

        # spec: a BorderSpec.
        def initialize(spec, view:, mesh: nil)
          @spec, @view, @mesh = spec, view, mesh
        end

        # mm that the border takes beyond the frame.
        def room_mm = [gap + thickness + ((thickness + gap).zero? ? 0 : stroke.width_mm / 2), outermost].max

        def nodes = [*ground_edge, *body]

        private

        def frame = @view.frame

        def gap = @spec.gap_mm

        # Between its inner and its outer edge.
        def thickness = 0.0

        # A line on the frame's edge lies half outside it.
        def outermost = (gap + thickness).zero? ? 0.0 : gap + thickness

        def inner = frame.grow(gap)

        def outer = frame.grow(gap + thickness)

        def stroke = @stroke ||= @spec.stroke

        # The thin line at the ground's edge, where the border stands away from it or where it is wanted.
        def ground_edge
          width = @spec.inner[:width_mm]
          return [] if gap.zero? || width.zero?
          line = Scene::Stroke.new(colour: @spec.inner[:colour] || stroke.colour, width_mm: width, join: "miter")
          [Scene::Path.new(runs: [frame.corners], closed: true, stroke: line)]
        end

        def outline(box, line = stroke) = Scene::Path.new(runs: [box.corners], closed: true, stroke: line)

        # Steps of a side in order along it, without the corners.
        def steps(side) = stepped? ? by_grid(side) : evenly(side)

        # Do a grid's lines say where steps begin?
        def stepped? = !@mesh.nil? && @mesh.lines.any?

        def by_grid(side)
          own = @mesh.owner(side)
          at_inner, at_outer =
            [inner, outer].map do |box|
              @mesh.crossings_of(box)[side]
                .select { |crossing| crossing.line.axis == own }
                .to_h { |crossing| [crossing.line.index, crossing.along] }
            end
          at_inner.sort_by(&:last).map { |index, along| Step.new(inner: along, outer: at_outer.fetch(index, along)) }
        end

        def evenly(side)
          from, to = Side.ends(side, frame).map { |x, y| Side.level?(side) ? x : y }
          count = [((to - from) / (@spec.steps[:mm] || STEP_MM)).round, 1].max
          (1...count).map { |n| from + (to - from) * n / count }.map { |along| Step.new(inner: along, outer: along) }
        end

        # A place on a side of a box.
        def on(side, box, along)
          (x, y), = Side.ends(side, box)
          Side.level?(side) ? [along, y] : [x, along]
        end

        # Lines across the border at every step, from its inner to its outer edge.
        def ticks(from: inner, to: outer)
          runs =
            Side::ALL.flat_map do |side|
              steps(side).map { |step| [*on(side, from, step.inner), *on(side, to, step.outer)] }
            end
          if runs.empty?
            []
          else
            [
              Scene::Path.new(
                runs: runs,
                closed: false,
                stroke: Scene::Stroke.new(colour: stroke.colour, width_mm: [stroke.width_mm, 0.2].min)
              )
            ]
          end
        end
      end
    end
  end
end
