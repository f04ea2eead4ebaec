# frozen_string_literal: true

module TileLoom
  module Crs
    # How far it is once round the earth along the first axis of a reference whose meridians stand side by side.
    module Period
      KEPT = PerThread.new(:crs_periods, most: 100)

      module_function

      # In units of the reference; nil where a map of it has no such sides.
      def of(crs)
        return 360.0 if crs.geographic?
        return nil unless cylindrical?(crs)
        KEPT.fetch(crs.code) { reckoned(crs) }
      end

      def cylindrical?(crs)
        method = crs.wkt(:PJ_WKT2_2019).to_s[/METHOD\["([^"]+)"/, 1].to_s
        method.match?(/Mercator|Equidistant Cylindrical|Cylindrical Equal Area|Miller|Plate/i) &&
          !method.match?(/Transverse|Oblique/i)
      end

      # A degree about the middle, many times.
      def reckoned(crs)
        transform = Transform.between(crs.geographic, crs)
        middle = transform.inverse([0.0, 0.0]).first
        west, _, east, = transform.forward([middle - 1, 0.0, middle + 1, 0.0])
        (east - west).abs * 180
      rescue Refusal
        nil
      end
    end
  end
end
