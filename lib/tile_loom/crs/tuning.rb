# frozen_string_literal: true

require "json"

module TileLoom
  module Crs
    # A projected reference with some of its parameters changed: central meridian, latitude of origin,
    # standard parallels, scale factor, false origin, unit. Datum and method stay. What comes out is
    # WKT 2 (ISO 19162) under a name of its own.
    class Tuning
      Parameter = Struct.new(:name, :value, :unit, keyword_init: true)

      UNITS = {
        "m" => "metre",
        "ft" => {
          "type" => "LinearUnit",
          "name" => "foot",
          "conversion_factor" => 0.3048
        },
        "us-ft" => {
          "type" => "LinearUnit",
          "name" => "US survey foot",
          "conversion_factor" => 1200 / 3937.0
        }
      }.freeze
      # As a menu has them.
      TITLES = {"m" => "metres", "ft" => "international feet", "us-ft" => "US survey feet"}.freeze
      LONGEST_NAME = 100

      def initialize(crs)
        crs.for_fixed_scale!
        @crs = crs
        @definition = JSON.parse(Context.text(crs.proj_object.to_json))
        @definition = @definition["source_crs"] if @definition["type"] == "BoundCRS"
      end

      # Parameter list in the order of the definition; values in degrees, in metres or feet, or bare.
      def parameters
        @definition
          .dig("conversion", "parameters")
          .map { |entry| Parameter.new(name: entry["name"], value: entry["value"], unit: unit_of(entry["unit"])) }
      end

      # A key of UNITS, or nil where it counts in another.
      def unit = @crs.unit&.code

      # values: parameter name → number in the unit that `parameters` tells; unit: a key of UNITS, or nil
      # to leave it. Returns WKT 2; Refusal names the parameter that does not do.
      def with(values: {}, unit: nil, name: nil)
        fresh = JSON.parse(JSON.generate(@definition))
        fresh.delete("id")
        %w[scope area bbox usages].each { |key| fresh.delete(key) }
        fresh["name"] = named(name)
        set_values(fresh["conversion"], values)
        set_unit(fresh, unit) if unit
        System.new(JSON.generate(fresh)).for_fixed_scale!.wkt(:PJ_WKT2_2019)
      end

      private

      def unit_of(unit) = unit.is_a?(Hash) ? unit["name"] : unit

      def named(name)
        text = name.to_s.strip
        text = "#{@crs.name}, modified" if text.empty?
        raise Refusal.new("crs.name_too_long", longest: LONGEST_NAME, at: "/name") if text.length > LONGEST_NAME
        text
      end

      def set_values(conversion, values)
        conversion.delete("id")
        conversion["name"] = "unnamed"
        values.each do |name, value|
          entry = conversion["parameters"].find { |known| known["name"] == name } or raise unknown(name, conversion)
          entry["value"] = checked(name, value, unit_of(entry["unit"]))
        end
      end

      def unknown(name, conversion)
        names = conversion["parameters"].map { |known| known["name"] }
        Refusal.new("crs.no_such_parameter", name: @crs.name, parameter: name, known: names.join(", "), at: "/values")
      end

      def checked(name, value, unit)
        path = "/values/#{name}"
        unless value.is_a?(Numeric) && value.to_f.finite?
          raise Refusal.new("crs.parameter_no_number", name: name, at: path)
        end
        most = name.match?(/latitude|parallel/i) ? 90 : 360
        if unit == "degree" && value.abs > most
          raise Refusal.new("crs.parameter_degrees", name: name, most: most, at: path)
        end
        if unit == "unity" && !(value.positive? && value <= 10)
          raise Refusal.new("crs.parameter_scale", name: name, at: path)
        end
        value
      end

      def set_unit(fresh, unit)
        known =
          UNITS.fetch(unit) { raise Refusal.new("crs.unit", unit: unit, known: UNITS.keys.join(", "), at: "/unit") }
        fresh["coordinate_system"]["axis"].each { |axis| axis["unit"] = known }
        fresh["coordinate_system"].delete("id")
      end
    end
  end
end
