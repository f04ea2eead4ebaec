# frozen_string_literal: true

module TileLoom
  module Compose
    # What a surveyor asks of a sheet: its true scale and the angle between norths, and what it leaves out.
    class SheetFacts
      # composer: of the sheet.
      def initialize(composer) = @composer = composer

      # Metres on the ground, denominators, factors, degrees clockwise; sentences of what is left out.
      def to_h
        view = @composer.view
        {
          "width_m" => view.ground_size.width_m,
          "height_m" => view.ground_size.height_m,
          "true_scale" => view.true_scale,
          "point_scale" => view.bar_scale_factor,
          "meridian_scale" => view.factors.meridional_scale,
          "areal_scale" => view.factors.areal_scale,
          "convergence_deg" => view.factors.convergence_deg,
          "convergence" => @composer.values["sheet"]["convergence"].to_s,
          "left_out" => @composer.left_out
        }
      end
    end
  end
end
