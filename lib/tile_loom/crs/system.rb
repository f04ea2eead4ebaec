# frozen_string_literal: true

module TileLoom
  module Crs
    # A coordinate reference system (ISO 19111) from PROJ's database.
    # Coordinates are always taken as east, north (or longitude, latitude), whatever order the
    # authority lists its axes in; units are the reference's own.
    class System
      CODE = /\A[A-Za-z]+:[A-Za-z0-9_.-]+\z/
      LONGEST_DEFINITION = 20_000
      KEPT = PerThread.new(:crs, most: 200)

      attr_reader :code, :name, :kind, :metres_per_unit, :unit_name, :operations

      # code: "EPSG:25829", or a WKT 2 or PROJ text; operations: of the book whose own it is, by which other datums are
      # brought to its own. PROJ objects belong to a thread, so the cache does.
      def self.find(code, operations: nil)
        Context.ready
        KEPT.fetch([code, operations&.key]) { new(code, operations: operations) }
      end

      def initialize(code, operations: nil)
        @operations = operations
        @code = code.to_s.strip
        raise Refusal.new("crs.missing") if @code.empty? || @code.length > LONGEST_DEFINITION
        DefinitionCheck.demand_text(@code) unless register_code
        @code += " +type=crs" if @code.start_with?("+proj") && !@code.include?("+type=crs")
        @proj = read
        DefinitionCheck.demand_parts(Context.text(@proj.to_json)) unless register_code
        describe
      end

      def projected? = kind == :projected

      def geographic? = kind == :geographic

      # The size of an axis unit as a known unit of length, or nil (degrees, rare units).
      def unit = projected? ? Units::LengthUnit.of_size(metres_per_unit) : nil

      # As it stands behind a length: its symbol, or a rare unit's name.
      def unit_symbol = unit&.symbol || unit_name

      # The underlying geographic reference, longitude and latitude in degrees.
      def geographic = @geographic ||= geographic? ? self : System.find(geodetic_definition, operations: operations)

      def datum = @datum ||= @proj.datum_forced ? Context.text(@proj.datum_forced.name) : geographic.name

      # What the register says that the reference is for, or nothing.
      def scope = Context.text(@proj.scope)

      # [west, south, east, north] in degrees, or nil where the reference states none.
      def area_of_use
        area = @proj.area_of_use
        area && [area.west_lon_degree, area.south_lat_degree, area.east_lon_degree, area.north_lat_degree]
      rescue Proj::Error, FFI::NullPointerError
        # proj4rb trips over a definition that states no area.
        nil
      end

      # type: :PJ_WKT1_GDAL (what PDF readers expect), :PJ_WKT2_2019, …; nil where it cannot be written so, as a method
      # younger than WKT 1.
      def wkt(type = :PJ_WKT1_GDAL)
        Context.text(@proj.to_wkt(type, multiline: false))
      rescue Proj::Error
        nil
      end

      # A code of a register, or nil for a definition of its own.
      def register_code = (code if code.match?(CODE))

      def epsg = @code[/\AEPSG:(\d+)\z/i, 1]&.to_i

      def proj_object = @proj

      # [semi-major axis, squared eccentricity] of the ellipsoid, metres.
      def ellipsoid
        @ellipsoid ||=
          begin
            parameters = geographic.proj_object.ellipsoid.parameters
            a, b = parameters.values_at(:semi_major_axis, :semi_minor_axis)
            [a, 1 - (b / a)**2]
          end
      end

      def ==(other) = other.is_a?(System) && other.code == code

      alias_method :eql?, :==

      def hash = code.hash

      # Which ways its axes count, as the authority lists them: "east", "north", "west", "south". (Of a polar
      # reference both go the way of a meridian.)
      def directions =
        @directions ||= [0, 1].map { |index| horizontal.coordinate_system.axis_info(index).direction.to_s }

      # The ways of x and y as coordinates are given here.
      def ways = (directions == %w[north east]) ? %w[east north] : directions

      # Does it bring its own way to WGS 84 with it (+towgs84)?
      def bound? = @proj.proj_type == :PJ_TYPE_BOUND_CRS

      # Does it count to the west or, other than round a pole, to the south?
      def reversed? = directions.include?("west") || (directions.include?("south") && directions.uniq.length == 2)

      # Refuses a reference that cannot hold a fixed scale, or would turn the map; returns self.
      def for_fixed_scale!(path: nil)
        if projected?
          return self unless reversed?
          ways = directions.sort.map { |way| "#{way}wards" }.join(" and ")
          raise Refusal.new("crs.counts_otherwise", name: name, ways: ways, instead: counterpart, at: path)
        end
        raise Refusal.new("crs.in_degrees", name: name, at: path)
      end

      private

      # ", such as …": the same grid counted east and north, where the register has it, else the UTM zone in the
      # middle of its area.
      def counterpart
        twin = Catalogue.all.find { |entry| entry.name == "#{name} East North" }
        return ", such as #{twin.name} (#{twin.code})" if twin
        west, south, east, north = area_of_use || return
        zone = System.find(Utm.code((west + east) / 2.0, (south + north) / 2.0))
        ", such as #{zone.name} (#{zone.code})"
      rescue Refusal
        nil
      end

      def read
        Proj::Crs.new(@code)
      rescue Proj::Error, ArgumentError
        shown = @code.gsub(/[[:space:][:cntrl:]]+/, " ")[0, 80]
        raise Refusal.new("crs.unknown", wanted: shown)
      end

      def describe
        @name = Context.text(@proj.name)
        @kind =
          case @proj.proj_type
          when :PJ_TYPE_PROJECTED_CRS
            :projected
          when :PJ_TYPE_GEOGRAPHIC_2D_CRS, :PJ_TYPE_GEOGRAPHIC_3D_CRS
            :geographic
          when :PJ_TYPE_BOUND_CRS
            bound_kind
          else
            raise Refusal.new("crs.kind", name: @name)
          end
        axis = horizontal.coordinate_system.axis_info(0)
        @metres_per_unit = projected? ? axis.unit_conv_factor : nil
        @unit_name = Context.text(axis.unit_name)
      end

      def horizontal = (@proj.proj_type == :PJ_TYPE_BOUND_CRS) ? @proj.source_crs : @proj

      def bound_kind = (@proj.source_crs.proj_type == :PJ_TYPE_PROJECTED_CRS) ? :projected : :geographic

      def geodetic_definition
        base = horizontal.geodetic_crs
        authority = base.auth_name
        authority ? "#{authority}:#{base.id_code}" : base.to_wkt(:PJ_WKT2_2019, multiline: false)
      end
    end
  end
end
