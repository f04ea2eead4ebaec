# frozen_string_literal: true

require "json"

module TileLoom
  module Crs
    # Looks at a definition that somebody typed (PROJ string, WKT, PROJJSON) before PROJ works with it: what would make
    # it read a file, and numbers with which its series do not end, are refused.
    module DefinitionCheck
      # Keys of a PROJ string that lead to no file.
      KEYS = %w[
        proj
        type
        datum
        ellps
        a
        b
        rf
        f
        es
        e
        R
        R_A
        R_V
        R_a
        R_g
        R_h
        R_lat_a
        R_lat_g
        lat_0
        lat_1
        lat_2
        lat_3
        lat_ts
        lat_b
        lon_0
        lon_1
        lon_2
        lon_3
        lonc
        lon_wrap
        alpha
        gamma
        azi
        tilt
        x_0
        y_0
        k
        k_0
        units
        to_meter
        vunits
        vto_meter
        axis
        pm
        towgs84
        zone
        nadgrids
        south
        north_square
        south_square
        over
        wktext
        no_defs
        no_uoff
        no_off
        no_rot
        uneg
        approx
        algo
        h
        sweep
        title
        W
        M
        m
        n
        q
        s
        o_proj
        o_lat_p
        o_lon_p
        o_alpha
        o_lat_c
        o_lon_c
        o_lat_1
        o_lon_1
        o_lat_2
        o_lon_2
        rot
        ns
        guam
        hyperbolic
        mode
        aperture
        orient
        resolution
        theta
      ].freeze

      # Of a PROJ string's numbers: key → [least, most].
      RANGES = {
        "k" => [1e-3, 1e3],
        "k_0" => [1e-3, 1e3],
        "a" => [1e3, 1e9],
        "b" => [1e3, 1e9],
        "R" => [1e3, 1e9],
        "rf" => [1.5, 1e12],
        "f" => [0, 0.6],
        "es" => [0, 0.9],
        "e" => [0, 0.95],
        "x_0" => [-1e10, 1e10],
        "y_0" => [-1e10, 1e10],
        "to_meter" => [1e-6, 1e6],
        "vto_meter" => [1e-6, 1e6],
        "h" => [1, 1e12],
        "zone" => [1, 60]
      }.freeze
      LATITUDE, ANGLE = [-90, 90], [-540, 540]

      # Of a parsed definition's parameters, by unit: [least, most].
      BY_UNIT = {"degree" => [-540, 540], "unity" => [1e-3, 1e3]}.freeze
      LENGTH = [-1e10, 1e10].freeze
      AXIS = [1e3, 1e9].freeze

      # What names a file; "@null" names none.
      FILES = /\b(PARAMETERFILE|parameter_?file)\b|\b(nadgrids|geoidgrids|init|file|grids|catalog)=(?!@null\b)/i

      # WKT 1 may carry a PROJ string beside it, which PROJ then works with.
      EXTENSION = /EXTENSION\s*\[\s*"[^"]*"\s*,\s*"([^"]*)"/i

      module_function

      # Refusal for a text that PROJ must not see.
      def demand_text(text)
        refuse("crs.definition_control_character") if text.match?(Assets::JsonText::CONTROL)
        refuse("crs.definition_names_file", file: text[FILES]) if text.match?(FILES)
        return text.scan(EXTENSION) { |(inner)| demand_proj(inner) } if text.include?("[")
        demand_proj(text) if text.match?(/(\A|\s)\+?proj=/)
      end

      def demand_proj(text)
        text.split(/\s+/).reject(&:empty?).each { |token| demand_token(*token.delete_prefix("+").split("=", 2)) }
      end

      def demand_token(key, value = nil)
        refuse("crs.definition_key", key: key.to_s[0, 30]) unless KEYS.include?(key)
        least, most =
          RANGES[key] ||
          (
            (key.start_with?("lat_", "o_lat") && LATITUDE) ||
              (key.start_with?("lon", "o_lon", "alpha", "gamma", "azi", "tilt", "o_alpha") && ANGLE)
          ) || return
        number = Float(value.to_s, exception: false)
        # Angles may be written as 12d30'N.
        return if number.nil? && key.start_with?("la", "lo", "o_", "al", "ga", "az", "ti")
        unless number&.finite? && number.between?(least, most)
          refuse("crs.definition_key_value", key: key, value: value.to_s[0, 30], least: least, most: most)
        end
      end

      # Refusal for a definition with numbers that no map has. json: as PROJ writes it (PROJJSON).
      def demand_parts(json)
        walk(JSON.parse(json))
      end

      def walk(part)
        return part.each { |item| walk(item) } if part.is_a?(Array)
        return unless part.is_a?(Hash)
        parameter(part) if part.key?("name") && part["value"].is_a?(Numeric)
        %w[semi_major_axis semi_minor_axis radius].each { |name| length(name, part[name]) if part.key?(name) }
        part.each_value { |item| walk(item) }
      end

      def parameter(part)
        unit = part["unit"].is_a?(Hash) ? part["unit"]["name"] : part["unit"]
        least, most =
          (part["name"].match?(/latitude|parallel/i) && unit == "degree") ? [-90, 90] : BY_UNIT.fetch(unit, LENGTH)
        # Of a datum shift's scale (parts per million) and a scale factor the first is no factor.
        return if part["name"].match?(/difference|rotation|translation/i)
        unless part["value"].to_f.between?(least, most)
          refuse("crs.definition_parameter", parameter: part["name"], value: part["value"], least: least, most: most)
        end
      end

      def length(name, given)
        value =
          if given.is_a?(Hash)
            given["value"].to_f * (given["unit"].is_a?(Hash) ? given["unit"]["conversion_factor"].to_f : 1)
          else
            given
          end
        unless value.is_a?(Numeric) && value.to_f.between?(*AXIS)
          refuse("crs.definition_axis", axis: name.tr("_", " "), value: value, least: AXIS[0].to_i, most: AXIS[1].to_i)
        end
      end

      def refuse(code, **values) = raise(Refusal.new(code, **values))
    end
  end
end
