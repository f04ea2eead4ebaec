# frozen_string_literal: true

module TileLoom
  module Document
    # Which layer of some data is likely to be the one that an index is to cover: areas that hold all the rest, a
    # district rather than the buildings in it.
    module LikelyArea
      # A layer holds another where so much of the extent of that one lies in its own.
      HELD = 0.9

      # name; areas: does it hold areas? count: of features; box: a Geometry::Box in a reference that all share, or nil.
      Candidate = Struct.new(:name, :areas, :count, :box)

      module_function

      # Its name, or nil where there is none with features.
      def of(candidates)
        known = candidates.select { |one| one.count.positive? }
        areas = known.select(&:areas)
        held =
          areas.to_h { |one| [one, one.box ? known.count { |other| !other.equal?(one) && holds?(one, other) } : 0] }
        best = areas.min_by { |one| [-held[one], held[one].zero? ? 0 : one.count, areas.index(one)] }
        (best || known.first)&.name
      end

      def holds?(one, other)
        return false if other.box.nil?
        share(other.box.min_x, other.box.max_x, one.box.min_x, one.box.max_x) *
          share(other.box.min_y, other.box.max_y, one.box.min_y, one.box.max_y) >= HELD
      end
      private_class_method :holds?

      # Of a length from low to high, what of it lies between two places.
      def share(low, high, from, to)
        return low.between?(from, to) ? 1.0 : 0.0 if high <= low
        [[high, to].min - [low, from].max, 0.0].max / (high - low)
      end
      private_class_method :share
    end
  end
end
