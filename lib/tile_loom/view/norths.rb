# frozen_string_literal: true

module TileLoom
  module View
    # The three norths in the middle of a view, or at another place of it: true (the meridian), grid (the reference's y
    # axis), magnetic (the compass needle by the World Magnetic Model). Angles in degrees, clockwise positive.
    class Norths
      # Where the directions of north in a frame differ by more than this, one arrow does not hold for all of it.
      MOST_SPREAD_DEG = 2.0
      STEPS = [0.0, 0.5, 1.0].freeze

      # date: Date, or nil where none is known: then nothing is known of the needle either; at: page [x, y], or nil
      # for the frame's middle.
      def initialize(view, date, at: nil)
        @view, @date, @at = view, date, at
      end

      # From true to grid north.
      def convergence_deg =
        @convergence_deg ||= (@at ? Crs::Factors.at(@view.crs, *ground) : @view.factors).convergence_deg

      # Which way each north lies on the page, from its upper edge.
      def grid_on_page = @view.ground.ccw_deg

      def true_on_page = grid_on_page - convergence_deg

      def magnetic_on_page = declination_deg && true_on_page + declination_deg

      # The direction on the page of "grid", "true" or "magnetic".
      def on_page(north) = {"true" => true_on_page, "magnetic" => magnetic_on_page}.fetch(north, grid_on_page)

      # From true to magnetic north, and its change in a year; nil where the needle is not known.
      def declination_deg = field&.declination_deg

      def declination_change_deg = field&.declination_change_deg

      # From grid to magnetic north: what is added to a compass bearing to have one on the grid.
      def grid_magnetic_deg = field && Units::Angle.wrapped(field.declination_deg - convergence_deg)

      # Why the needle is not known, in a sentence, or nil.
      def trouble = refusal&.message

      # The Refusal that says so, or nil.
      def refusal
        field
        @refusal
      end

      # By how many degrees true north turns against grid north across the frame.
      def spread_deg
        places = @view.frame.lattice(STEPS).flatten
        found = @view.to_ground(places).each_slice(2).filter_map { |x, y| self.class.convergence_at(@view.crs, x, y) }
        middle = found.first || 0.0
        found.map { |angle| Units::Angle.wrapped(angle - middle) }.minmax.then { |low, high| high.to_f - low.to_f }
      end

      # Degrees from true to grid north at a place in the reference's own units.
      def self.convergence_at(crs, x, y)
        Crs::Factors.at(crs, x, y).convergence_deg
      rescue Refusal
        nil
      end

      # "1°26′ W" in a Languages::Language; nothing for nil.
      def self.words(degrees, language = Languages::Language.english)
        return "" if degrees.nil?
        minutes = (degrees * 60).round
        if minutes.zero?
          "0°00′"
        else
          Units::Angle.dms(
            minutes/60r,
            positive: " #{language.letter("east")}",
            negative: " #{language.letter("west")}",
            step_deg: Rational(1, 60)
          )
        end
      end

      private

      def field
        return @field if defined?(@field)
        @field = @date ? Crs::MagneticModel.wmm.at(*place, @date) : nil
        @refusal = Refusal.new("crs.no_date") unless @date
        @field
      rescue Refusal => error
        @refusal = error
        @field = nil
      end

      def place = Crs::Transform.to_wgs84(@view.crs).point(*ground)

      def ground = @at ? @view.to_ground(@at) : @view.middle
    end
  end
end
