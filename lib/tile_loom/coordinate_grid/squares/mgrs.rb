# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    module Squares
      # The military grid reference system (MGRS, and USNG in the United States) within UTM: DMA TM 8358.1,
      # chapters 2 and 3, the lettering for WGS 84 (and for references of about its ellipsoid).
      class Mgrs
        # Eight columns a zone, three zones a set; I and O are left out.
        COLUMNS = %w[ABCDEFGH JKLMNPQR STUVWXYZ].freeze
        ROWS = "ABCDEFGHJKLMNPQRSTUV"
        # Bands of eight degrees from 80° S, the northernmost of twelve.
        BANDS = "CDEFGHJKLMNPQRSTUVWX"

        # zone: 1…60
        def initialize(zone) = @zone = zone

        # Two letters, or nil beyond the zone's columns.
        def letters(east, north)
          column = (east / SIDE_M).floor - 1
          return nil unless column.between?(0, 7)
          row = ((north / SIDE_M).floor + (@zone.even? ? 5 : 0)) % 20
          COLUMNS[(@zone - 1) % 3][column] + ROWS[row]
        end

        # "29V"
        def self.designation(lon, lat)
          return nil unless lat.between?(-80, 84)
          "#{Crs::Utm.zone(lon, lat)}#{BANDS[((lat + 80) / 8).floor.clamp(0, 19)]}"
        end

        # A full reference to the metre, truncated as the standard has it: "29VMK0400028000".
        def self.reference(lon, lat, digits: 5)
          designation = designation(lon, lat) or return nil
          zone = Zone.new(Crs::Utm.zone(lon, lat), lat.negative?)
          east, north = Crs::Transform.between(zone.crs.geographic, zone.crs).point(lon, lat)
          numbers = [east, north].map { |number| ((number % SIDE_M) / 10**(5 - digits)).floor.to_s.rjust(digits, "0") }
          "#{designation}#{new(zone.number).letters(east, north)}#{numbers.join}"
        end
      end
    end
  end
end
