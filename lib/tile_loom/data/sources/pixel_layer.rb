# frozen_string_literal: true

module TileLoom
  module Data
    # A layer of a MemorySource that is of pixels. raster: see Raster::Prepared; extent: its Box in the book's
    # reference, or nil.
    PixelLayer =
      Struct.new(:raster, :extent) do
        def features(_box) = []

        def attribute_names = []

        def telling_field = nil
      end
  end
end
