# frozen_string_literal: true

module TileLoom
  module Crs
    module Passages
      # From one map plane to another: edges that are straight on the first bend on the second.
      class Plane
        STEPS = (0..16).map { |step| step / 16.0 }

        attr_reader :key

        # tolerance: of bent edges, in units of `to`.
        def initialize(from, to, tolerance)
          @transform = Transform.between(from, to)
          @bends = Bends.new(@transform, tolerance)
          @key = [from.code, to.code, tolerance]
        end

        def rings(runs)
          runs.map { |run| finite(bent(run)) }.select { |run| run.length >= 8 }.map { |run| closed(run) }
        end

        def lines(run)
          bent(run)
            .each_slice(2)
            .chunk_while { |a, b| a.all?(&:finite?) && b.all?(&:finite?) }
            .map(&:flatten)
            .select { |part| part.length >= 4 && part.all?(&:finite?) }
        end

        def points(flat) = finite(@transform.forward(flat))

        # A tenth larger, for what bends in from beside it.
        def back(box)
          places = @transform.inverse(box.lattice(STEPS).flatten)
          return nil unless places.all?(&:finite?)
          found = Geometry::Box.around(places)
          found.grow(found.width / 10, found.height / 10)
        end

        private

        def bent(run) = @transform.forward(@bends.filled(run))

        def finite(flat) = flat.each_slice(2).select { |place| place.all?(&:finite?) }.flatten

        def closed(run) = (run.first(2) == run.last(2)) ? run : run + run.first(2)
      end
    end
  end
end
