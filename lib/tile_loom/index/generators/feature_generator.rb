# frozen_string_literal: true

module TileLoom
  module Index
    module Generators
      # One sheet for each feature of the study area.
      class FeatureGenerator < Generator
        kind "features", "Sheets by feature", rank: 3
        named_by "field"
        part :scale_rule, ScaleRule.type, default: {"kind" => "fixed"}, about: "Sheets by feature: their scale."
        part :centre,
          Values::Choice.new(extent: "the centre of its extent", inner: "the largest circle inside it"),
          default: "extent",
          about: "Sheets by feature: about the middle of the extent, or of the largest circle inside."
        part :several,
          Values::Flag.new,
          default: false,
          about: "Sheets by feature: several for one that is larger than the frame."

        def cells
          generator =
            ByFeature.new(
              size: ->(scale) { size(scale) },
              rule: @index.scale_rule.holding(@index.scale),
              centre: @index.centre,
              several: @index.several?,
              overlap_mm: overlap_mm
            )
          names = []
          cells = generator.cells(features) { |feature| name_of(feature).tap { |name| names << name } }
          note_too_large(generator.too_large)
          [cells, cells.map(&:name)]
        end

        private

        def note_too_large(names)
          return if names.empty?
          ending =
            if @index.several?
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
