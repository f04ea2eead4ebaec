# frozen_string_literal: true

module TileLoom
  module Symbology
    # The looks of rasters, each a file in raster_looks/.
    module RasterLooks
      extend Values::Kinds

      # Kind of a raster's facts → the look that it begins with.
      FIRST = {"picture" => "picture", "classes" => "classes", "values" => "ramp"}.freeze

      # Look of a raster that has just come, as a document has it.
      def self.start(facts) = of(FIRST.fetch(facts.kind)).start(facts)
    end
  end
end
