# frozen_string_literal: true

module TileLoom
  module Crs
    # The projected references of the EPSG register, as PROJ's database holds them, to be found by code,
    # name or place.
    module Catalogue
      # box: [west, south, east, north] in degrees of the area of use.
      Entry =
        Struct.new(:code, :name, :area, :box, keyword_init: true) do
          # Does the area of use hold this box? Areas across the 180° meridian have west > east.
          def holds?(other)
            west, south, east, north = box
            return false unless south <= other[1] && north >= other[3]
            return west <= other[0] && east >= other[2] if west <= east
            other[0] >= west || other[2] <= east
          end

          # Square degrees, to tell a reference made for a place from one made for a continent.
          def extent = ((box[2] - box[0]) % 360) * (box[3] - box[1])

          def to_h = {"code" => code, "name" => name, "area" => area}
        end

      MOST = 20
      LOCK = Mutex.new

      module_function

      def all
        LOCK.synchronize { @all ||= read.freeze }
      end

      # Entries whose code, name or place holds every word; a code that is named comes first.
      def search(text, most: MOST)
        words = text.to_s.downcase.split
        return [] if words.empty?
        found =
          all.select do |entry|
            "#{entry.code} #{entry.name} #{entry.area}".downcase.then do |all_of_it|
              words.all? { |word| all_of_it.include?(word) }
            end
          end
        found
          .sort_by do |entry|
            [
              (entry.code.downcase.delete_prefix("epsg:") == words.first.delete_prefix("epsg:")) ? 0 : 1,
              entry.extent,
              entry.code
            ]
          end
          .first(most)
      end

      def read
        Context.ready
        infos = Proj::Database.new(Proj::Context.current).crs_info("EPSG")
        usable =
          infos.select do |info|
            info.crs_type == :PJ_TYPE_PROJECTED_CRS && !info.deprecated && info.bbox_valid &&
              info.celestial_body_name == "Earth"
          end
        usable.map do |info|
          Entry.new(
            code: "EPSG:#{info.code}",
            name: Context.text(info.name),
            area: Context.text(info.area_name),
            box: [info.west_lon_degree, info.south_lat_degree, info.east_lon_degree, info.north_lat_degree]
          )
        end
      end
      private_class_method :read
    end
  end
end
