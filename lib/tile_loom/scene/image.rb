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

        # One whose middle is at [x, y]; mm_per_px: how large its pixels are.
        def self.about((x, y), raster:, mm_per_px:)
          width, height = raster.width_px * mm_per_px, raster.height_px * mm_per_px
          new(x: x - width / 2, y: y - height / 2, width_mm: width, height_mm: height, raster: raster)
        end
      end
  end
end
