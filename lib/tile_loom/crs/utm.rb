# frozen_string_literal: true

module TileLoom
  module Crs
    # Which zone of Universal Transverse Mercator a place lies in: six degrees each, counted eastward
    # from 180° W, with the wider zones of south-west Norway and Svalbard (DMA TM 8358.2).
    module Utm
      module_function

      # The number of the UTM zone of a place in degrees, with the exceptions for Norway and Svalbard (DMA TM 8358.2).
      def zone(lon_deg, lat_deg)
        lon = Units::Angle.wrapped(lon_deg)
        return 32 if lat_deg.between?(56, 63.999999) && lon.between?(3, 11.999999)
        if lat_deg.between?(72, 84) && lon.between?(0, 41.999999)
          return [9, 21, 33, 42].index { |limit| lon < limit } * 2 + 31
        end
        ((lon + 180) / 6).floor + 1
      end

      # The code of the zone on WGS 84: EPSG:32601…32660 north, EPSG:32701…32760 south.
      def code(lon_deg, lat_deg)
        unless lat_deg.between?(-80, 84)
          latitude = Units::Number.plain(lat_deg, decimals: 1)
          raise Refusal.new("crs.no_utm_zone", latitude: latitude)
        end
        format("EPSG:%d", ((lat_deg < 0) ? 32_700 : 32_600) + zone(lon_deg, lat_deg))
      end
    end
  end
end
