# frozen_string_literal: true

module TileLoom
  module Scene
    # A map frame's place on the earth, for geospatial PDF (ISO 32000-2, 12.10).
    # frame: Box in page mm; corners_lat_lon: [[lat, lon] × 4] in degrees of the reference's own datum,
    # lower left, upper left, upper right, lower right of the frame; crs: its Crs::System.
    Viewport = Struct.new(:frame, :corners_lat_lon, :crs, :name, keyword_init: true) { prepend Node }
  end
end
