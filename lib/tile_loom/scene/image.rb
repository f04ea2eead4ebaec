# frozen_string_literal: true

module TileLoom
  module Scene
    # A picture of pixels whose upper left corner is at (x, y), in page millimetres, so wide and so high,
    # turned clockwise by rotation_deg about that corner. raster: an Artwork::Raster, or
    # Artwork::Pixels.
    Image =
      Struct.new(:x, :y, :width_mm, :height_mm, :raster, :rotation_deg, keyword_init: true) do
        prepend Node

        def initialize(x:, y:, width_mm:, height_mm:, raster:, rotation_deg: 0.0) = super
      end
  end
end
