# frozen_string_literal: true

module TileLoom
  module Crs
    module Passages
      # From a map plane to a view of the globe, where the far side is cut away.
      class Globe
        # Edges are looked at in parts of this length, which on a globe are straight lines.
        STEP_M, STEP_DEG = 50_000.0, 0.5
        MOST_STEPS = 200

        attr_reader :key

        # to: the view's reference; horizon: a Horizon about its centre.
        def initialize(from, to, horizon)
          @to_degrees = Transform.between(from, from.geographic)
          @to_plane = Transform.between(to.geographic, to)
          @step = from.projected? ? STEP_M / from.metres_per_unit : STEP_DEG
          @horizon = horizon
          @key = [from.code, to.code, horizon.reach_deg]
        end

        def rings(runs)
          runs = directed(runs).map { |run| @to_degrees.forward(stepped(run)) }
          return [] unless runs.flatten.all?(&:finite?)
          on_plane(@horizon.area(runs))
        end

        def lines(run)
          degrees = @to_degrees.forward(stepped(run))
          degrees.all?(&:finite?) ? on_plane(@horizon.line(degrees)) : []
        end

        def points(flat)
          seen =
            @to_degrees
              .forward(flat)
              .each_slice(2)
              .select { |place| place.all?(&:finite?) && @horizon.include?(*place) }
          @to_plane.forward(seen.flatten)
        end

        def back(_box) = nil

        # Flat runs of degrees on the view's plane, all in one go.
        def on_plane(runs)
          flat = @to_plane.forward(runs.flatten)
          at = 0
          runs.map { |run| flat[at, run.length].tap { at += run.length } }
        end

        private

        # The outer ring counter-clockwise, the others clockwise.
        def directed(runs) =
          runs.each_with_index.map do |run, index|
            (area(run).positive? == index.zero?) ? run : Geometry::Runs.backwards(run)
          end

        def area(run) = run.each_slice(2).each_cons(2).sum { |(x1, y1), (x2, y2)| x1 * y2 - x2 * y1 }

        def stepped(run)
          points = run.each_slice(2).to_a
          between =
            points
              .each_cons(2)
              .flat_map do |(x1, y1), (x2, y2)|
                steps = (Math.hypot(x2 - x1, y2 - y1) / @step).ceil.clamp(1, MOST_STEPS)
                (0...steps).flat_map { |step| [x1 + (x2 - x1) * step / steps, y1 + (y2 - y1) * step / steps] }
              end
          between + points.last
        end
      end
    end
  end
end
