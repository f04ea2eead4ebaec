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
          "left_out" => @composer.left_out,
          "labels" => labels,
          "feature" => feature
        }
      end

      private

      # How many labels of features its frames show, and how many have no room.
      def labels
        frames = @composer.elements.select(&:gridded?)
        {
          "placed" => frames.sum { |frame| frame.placed_labels(@composer).length },
          "unplaced" => frames.sum { |frame| frame.unplaced_labels(@composer).length }
        }
      end

      # The feature that the sheet is of: its name (the first of its texts), and whether the sheet was made for it or
      # shows most of it; nil where it has none.
      def feature
        shown = @composer.cell && @composer.feature_of(@composer.cell)
        _, found = shown&.found
        return nil unless found
        {"name" => found.attributes.values.grep(String).first || found.id.to_s, "own" => shown.own?}
      end
    end
  end
end
