# frozen_string_literal: true

module App
  # The values of a layer's pixels at a place of the book's map.
  class PixelAt
    def initialize(layer) = @layer = layer

    # x, y: in the book's reference. By band; nil where there are none.
    def values(x, y)
      raster = @layer.prepared or return nil
      place = TileLoom::Raster::Extent.new(raster.grid, @layer.book.crs).own([x, y])
      found = place.all?(&:finite?) ? raster.at(*place) : nil
      found&.all?(&:finite?) ? found : nil
    end
  end
end
