# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    module Borders
      # What borders have in common: a margin between the ground and the border, a line at the ground's edge,
      # and steps along the sides, by a grid's lines on their true course or evenly.
      class Border
        # Where a step begins on one side: at the border's inner edge and at its outer one, along the side in mm.
        Step = Struct.new(:inner, :outer, keyword_init: true)
        STEP_MM = 20.0

        def initialize(settings, view:, mesh: nil)
          @settings, @view, @mesh = settings, view, mesh
        end

        # mm that the border takes beyond the frame.
        def room_mm = [gap + thickness + ((thickness + gap).zero? ? 0 : stroke.width_mm / 2), outermost].max

        def nodes = [*ground_edge, *body]

        private

        def frame = @view.frame

        def gap = @settings.fetch("gap_mm", 0).to_f

        # Between its inner and its outer edge.
        def thickness = 0.0

        # A line on the frame's edge lies half outside it.
        def outermost = (gap + thickness).zero? ? 0.0 : gap + thickness

        def inner = frame.grow(gap)

        def outer = frame.grow(gap + thickness)

        def stroke =
          @stroke ||=
            TileLoom::Symbology::Symbol.stroke(
              {"colour" => "#1f2a30", "width_mm" => 0.35}.merge(
                @settings.slice("colour", "width_mm", "dash_mm", "opacity")
              ).merge("join" => "miter")
            )

        # The thin line at the ground's edge, where the border stands away from it or where it is wanted.
        def ground_edge
          return [] if gap.zero? || @settings.dig("inner", "width_mm") == 0
          given = {"colour" => stroke.colour, "width_mm" => 0.15}.merge(@settings["inner"] || {})
          [
            Scene::Path.new(
              runs: [frame.corners],
              closed: true,
              stroke: TileLoom::Symbology::Symbol.stroke(given.merge("join" => "miter"))
            )
          ]
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
          count = [((to - from) / @settings.dig("steps", "mm").then { |mm| (mm || STEP_MM).to_f }).round, 1].max
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
