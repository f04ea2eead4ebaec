# frozen_string_literal: true

module TileLoom
  module Index
    module Generators
      # One sheet for each feature of the study area.
      class FeatureGenerator < Generator
        def cells
          weaver =
            ByFeature.new(
              size: ->(scale) { size(scale) },
              rule: ScaleRule.new(settings["rule"], held: @index.scale),
              centre: settings.fetch("centre", "extent"),
              several: settings.fetch("several", false),
              overlap_mm: overlap_mm
            )
          names = []
          cells = weaver.cells(features) { |feature| name_of(feature).tap { |name| names << name } }
          told(weaver.too_large)
          [cells, cells.map(&:name)]
        end

        private

        def told(names)
          return if names.empty?
          ending =
            if settings["several"]
              "they have several sheets each"
            else
              "take a smaller scale, another scale rule, or several sheets for each"
            end
          @notes << "#{names.length} #{(names.length == 1) ? "feature is" : "features are"} larger than the frame (" \
          "#{listed(names)}): #{ending}."
        end
      end
    end
  end
end
