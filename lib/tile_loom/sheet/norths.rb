# frozen_string_literal: true

module TileLoom
  module Sheet
    # The three norths in the middle of a view: true (the meridian), grid (the reference's y axis), magnetic (the
    # compass needle by the World Magnetic Model). Angles in degrees, clockwise positive.
    class Norths
      # date: Date, or nil where none is known: then nothing is known of the needle either.
      def initialize(view, date)
        @view, @date = view, date
      end

      # From true to grid north.
      def convergence_deg = @view.factors.convergence_deg

      # Which way each north lies on the page, from its upper edge.
      def grid_on_page = @view.ground.rotation_deg

      def true_on_page = grid_on_page - convergence_deg

      def magnetic_on_page = declination_deg && true_on_page + declination_deg

      # The direction on the page of "grid", "true" or "magnetic".
      def on_page(north) = {"true" => true_on_page, "magnetic" => magnetic_on_page}.fetch(north, grid_on_page)

      # From true to magnetic north, and its change in a year; nil where the needle is not known.
      def declination_deg = field&.declination_deg

      def declination_change_deg = field&.declination_change_deg

      # From grid to magnetic north: what is added to a compass bearing to have one on the grid.
      def grid_magnetic_deg = field && (field.declination_deg - convergence_deg + 180) % 360 - 180

      # Why the needle is not known, in a sentence, or nil.
      def trouble
        field
        @trouble
      end

      # "1°26′ W"; nothing for nil.
      def self.words(degrees)
        return "" if degrees.nil?
        Units::Angle.dms((degrees * 60).round/60r, positive: " E", negative: " W", step_deg: Rational(1, 60))
      end

      private

      def field
        return @field if defined?(@field)
        @field = @date ? Reference::MagneticModel.wmm.at(*place, @date) : nil
        @trouble = "Magnetic north needs a date: give the book one." unless @date
        @field
      rescue Invalid => error
        @trouble = error.message
        @field = nil
      end

      def place = Reference::Transform.between(@view.crs, Reference::Crs.find("EPSG:4326")).point(@view.ground.centre_x, @view.ground.centre_y)
    end
  end
end
