# frozen_string_literal: true

require "json"

module TileLoom
  module Data
    # Reads GeoJSON (RFC 7946; the "crs" member of its 2008 forerunner is honoured).
    class GeojsonReader < FeatureReader
      TYPES = {
        "MultiPoint" => ["Point", 4],
        "MultiLineString" => ["LineString", 5],
        "MultiPolygon" => ["Polygon", 6]
      }.freeze

      # text: GeoJSON; more: see new.
      def self.from_text(text, **options)
        new(parse(text), **options)
      end

      # Numbers and texts are looked at feature by feature, so that one that does not do is named.
      def self.parse(text) = Assets::JsonText.parse(text, what: "The file", nesting: 60, values: false)

      # document: parsed GeoJSON; its features may be any Enumerable. reference: overrides what the file says; numbered:
      # its features have their own numbers ("id", rising), else they are counted.
      def initialize(document, reference: nil, numbered: false, **more)
        @document, @numbered, @last = document, numbered, 0
        super(reference: reference || stated_reference, **more)
      end

      private

      def extent = SourceExtent.of(@document)

      def originals
        @last = 0
        listed.each do |item|
          found = tolerant { original(item, @count) }
          @count += 1
          yield found if found
        end
      end

      def listed
        case @document.is_a?(Hash) && @document["type"]
        when "FeatureCollection"
          list = @document["features"]
          raise Refusal.new("data.features_no_list") unless list.is_a?(Enumerable)
          list
        when "Feature"
          [@document]
        when "Point", "LineString", "Polygon", "GeometryCollection", *TYPES.keys
          [{"type" => "Feature", "geometry" => @document, "properties" => {}}]
        else
          raise Refusal.new("data.no_geojson")
        end
      end

      def stated_reference
        stated = @document.is_a?(Hash) ? @document["crs"] : nil
        return Crs::System.find("OGC:CRS84") if stated.nil?
        name = (stated.is_a?(Hash) && stated["properties"].is_a?(Hash)) ? stated["properties"]["name"] : stated
        raise Refusal.new("data.crs_unreadable", found: JSON.generate(stated)[0, 60]) unless name.is_a?(String)
        code = name[/\Aurn:ogc:def:crs:([A-Za-z]+):[^:]*:([A-Za-z0-9]+)\z/] ? "#{$1}:#{$2}" : name
        Crs::System.find(code)
      end

      def original(entry, index)
        raise Refusal.new("data.no_feature", number: index + 1) unless entry.is_a?(Hash) && entry["type"] == "Feature"
        number = number(entry, index)
        attributes = entry["properties"] || {}
        raise Refusal.new("data.properties_no_object", number: index + 1) unless attributes.is_a?(Hash)
        key = entry["id"]
        name = FeatureReader.called(index + 1, key || attributes["name"] || attributes["code"])
        return (@empty += 1) && nil if empty?(entry["geometry"])
        Original.new(
          number,
          index + 1,
          encode(entry["geometry"], name, 0),
          attributes.to_h { |field, value| [sound(field), plain(value, field) { name }] },
          key
        )
      end

      # Its own where that is a whole number beyond those before it, else one more than the last.
      def number(entry, index)
        return index + 1 unless @numbered
        own = entry["id"]
        @last = (own.is_a?(Integer) && own > @last && own <= LARGEST_NUMBER) ? own : @last + 1
      end

      # RFC 7946, 3.1: empty coordinates, or null, for a feature without a place; of parts, all of them.
      def empty?(geometry)
        return true if geometry.nil?
        return false unless geometry.is_a?(Hash)
        parts = geometry["coordinates"] || geometry["geometries"]
        parts.is_a?(Array) &&
          (
            parts.empty? || (%w[MultiPolygon MultiLineString Polygon].include?(geometry["type"]) && parts.all?([])) ||
              (geometry["type"] == "GeometryCollection" && parts.all? { |part| empty?(part) })
          )
      end

      def encode(geometry, name, depth)
        unless geometry.is_a?(Hash) && depth < Geometry::Wkb::MOST_DEPTH
          raise Refusal.new("data.no_geometry", name: name)
        end
        type, coordinates = geometry.values_at("type", "coordinates")
        case type
        when "Point", "LineString", "Polygon"
          encode_simple(type, coordinates, name)
        when *TYPES.keys
          member, code = TYPES[type]
          Geometry::Wkb.collection(code, list(coordinates, name).map { |part| encode_simple(member, part, name) })
        when "GeometryCollection"
          Geometry::Wkb.collection(7, list(geometry["geometries"], name).map { |part| encode(part, name, depth + 1) })
        else
          raise Refusal.new("data.geometry_type", name: name, type: type.to_s[0, 40])
        end
      end

      def encode_simple(type, coordinates, name)
        case type
        when "Point"
          Geometry::Wkb.point(*position(coordinates, name))
        when "LineString"
          flat = positions(coordinates, name)
          raise Refusal.new("data.line_too_short", name: name) if flat.length < 4
          Geometry::Wkb.line(flat)
        else
          rings = list(coordinates, name).map { |ring| closed(positions(ring, name), name) }
          Geometry::Wkb.polygon(rings)
        end
      end

      def closed(ring, name)
        raise Refusal.new("data.ring_too_short", name: name) if ring.length < 6
        ring += ring[0, 2] unless ring[0, 2] == ring[-2, 2]
        raise Refusal.new("data.ring_too_short", name: name) if ring.length < 8
        ring
      end

      def list(value, name)
        value.is_a?(Array) ? value : raise(Refusal.new("data.coordinates_no_list", name: name))
      end

      def positions(value, name) = list(value, name).flat_map { |item| position(item, name) }

      def position(item, name)
        x, y = item if item.is_a?(Array)
        unless x.is_a?(Numeric) && y.is_a?(Numeric) && x.to_f.finite? && y.to_f.finite?
          raise Refusal.new("data.coordinates_no_pair", name: name)
        end
        [x.to_f, y.to_f]
      end
    end
  end
end
