# frozen_string_literal: true

module TileLoom
  module View
    # How much ground a stretch of paper stands for, where a scale bar is read: along the page's horizontal
    # through a point of the frame, as a geodesic on the reference's ellipsoid; or along the grid, as the
    # reference counts.
    class Measure
      # Of how much a bar is off when it is used elsewhere in the frame; where: the page place that is worst.
      Error = Struct.new(:share, :where, keyword_init: true)

      STEPS = [0.0, 0.25, 0.5, 0.75, 1.0].freeze

      # at: page [x, y], or nil for the frame's middle; along: "level" or "grid".
      def initialize(view, at: nil, along: "level")
        @view, @at, @along = view, at || view.middle_of_page, along
      end

      # Metres on the ground of a horizontal stretch of paper about the point.
      def ground_m(length_mm)
        return length_mm * @view.units_per_mm * @view.crs.metres_per_unit if @along == "grid"
        x, y = @at
        Crs::Geodesic.new(@view.crs).distance_m(*@view.to_ground([x - length_mm / 2.0, y, x + length_mm / 2.0, y]))
      end

      # Paper length in mm of a horizontal stretch about the point that measures this many metres. The secant
      # step converges to well under a micrometre in a few rounds.
      def paper_mm(metres)
        length = metres / ground_m(10.0) * 10.0
        3.times { length *= metres / ground_m(length) }
        length
      end

      # The largest Error of the bar anywhere in the frame, whatever direction is measured.
      def error = @error ||= error_of(per_mm)

      # That of a saying: a millimetre stands for so many metres.
      def error_of(metres)
        stated = plane_per_mm / metres
        lattice
          .map { |place| Error.new(share: off_at(place, stated), where: place) }
          .max_by { |found| found.share.abs }
      end

      # Metres on the ground that a millimetre stands for where the bar is read.
      def per_mm = @per_mm ||= ground_m(10.0) / 10.0

      # Is the scale along the page's horizontal the same all along a level, as in an upright frame of a
      # cylindrical reference, so that a bar by latitude is honest?
      def cylindrical?
        @view.ground.upright? &&
          STEPS.all? do |v|
            row = STEPS.map { |u| Crs::Factors.at(@view.crs, *@view.to_ground(@view.frame.place(u, v))) }
            row.all? do |factors|
              factors.convergence_deg.abs < 1e-6 && (factors.parallel_scale / row.first.parallel_scale - 1).abs < 1e-6
            end
          end
      end

      private

      # Places all over the frame; of one that shows more than the earth, many, so that enough lie on it.
      def lattice
        @lattice ||=
          begin
            places = @view.frame.lattice(STEPS)
            (places.count { |found| axes_at(found).any? } * 2 > places.length) ? places : @view.frame.lattice(FINE)
          end
      end

      FINE = (0..24).map { |n| n / 24.0 }.freeze

      def plane_per_mm = @view.units_per_mm * @view.crs.metres_per_unit

      # stated: metres of the map plane that are taken for one on the ground. By how much what is there differs from
      # what is stated, as a share of that.
      def off_at(place, stated)
        axes_at(place).map { |scale| stated / scale - 1 }.max_by(&:abs) || 0.0
      end

      # The longest and the shortest axis of the indicatrix at a page place; none where nothing is.
      def axes_at(place)
        (@axes ||= {})[place] ||= begin
          Crs::Factors.at(@view.crs, *@view.to_ground(place)).axes
        rescue Refusal
          []
        end
      end
    end
  end
end
