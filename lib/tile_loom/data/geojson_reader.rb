# frozen_string_literal: true

require "json"

module TileLoom
  module Data
    # Reads GeoJSON (RFC 7946; the "crs" member of its 2008 forerunner is honoured) into features in
    # the book's reference. What is refused says which feature; what is repaired is listed in `repairs`.
    class GeojsonReader
      TYPES = {
        "MultiPoint" => ["Point", 4],
        "MultiLineString" => ["LineString", 5],
        "MultiPolygon" => ["Polygon", 6]
      }.freeze
      LONGEST_TEXT = 10_000
      LEAST_DEGREES = 1e-6
      # A batch is so many features, or fewer where their geometry is large.
      BATCH, BATCH_BYTES = 2_000, 4 * 1024**2

      Original = Struct.new(:id, :wkb, :attributes, :name, keyword_init: true)

      # repairs, refused: sentences that name the feature. Unless the reader is lenient, refused holds those alone that
      # the target cannot show.
      attr_reader :remarks, :source_reference

      def refused = @refused.map(&:message)

      # text: GeoJSON; target: Crs::System of the book; reference: overrides what the file says;
      # lenient: a feature that cannot be read is listed in `refused`, the others come in.
      def self.from_text(text, **options)
        new(parse(text), **options)
      end

      # Numbers and texts are looked at feature by feature, so that one that does not do is named.
      def self.parse(text) = Assets::JsonText.parse(text, what: "The file", nesting: 60, values: false)

      # document: parsed GeoJSON; its features may be any Enumerable.
      # remarks: a list to which whoever hands in the features may add sentences.
      # scale: see Reprojector; box: [west, south, east, north] of its data in their reference, where that is known.
      # numbered: its features have their own numbers ("id", rising), else they are counted.
      def initialize(
        document,
        target:,
        reference: nil,
        lenient: false,
        remarks: [],
        scale: nil,
        box: nil,
        numbered: false
      )
        @numbered, @last = numbered, 0
        @document, @target, @lenient, @remarks, @box = document, target, lenient, remarks, box
        @source_reference = reference || stated_reference
        @reprojector = Reprojector.new(from: @source_reference, to: target, scale: scale)
        @refused = []
        @empty = 0
      end

      # [west, south, east, north] of the data in degrees of their own datum; nil where that is not known.
      def degrees
        corners = @box || SourceExtent.of(@document) or return nil
        found =
          Crs::Transform.between(@source_reference, @source_reference.geographic).box(Geometry::Box.new(*corners)).to_a
        return nil unless found.all?(&:finite?) && found[1] >= -90 && found[3] <= 90
        # One point has no extent, for which PROJ would find nothing.
        west, south, east, north = found
        [west - LEAST_DEGREES, south - LEAST_DEGREES, east + LEAST_DEGREES, north + LEAST_DEGREES]
      rescue Refusal
        nil
      end

      def repairs = @reprojector.repairs

      # All that is to be told of what was read, in sentences.
      def told = remarks + repairs + refused.map { |sentence| "Left out: #{sentence}" }

      # All features in the target reference; Refusal when there are none or one cannot be read.
      def features = each_batch.flat_map { |pairs| pairs.map(&:first) }

      # Yields arrays of [Feature in the target reference, Original in the file's own].
      def each_batch
        return enum_for(:each_batch) unless block_given?
        count, shown, bytes, originals = 0, 0, 0, []
        @last = 0
        listed.each do |item|
          found = tolerant { original(item, count) }
          count += 1
          next unless found
          originals << found
          bytes += found.wkb.bytesize
          next if originals.length < BATCH && bytes < BATCH_BYTES
          pass_on(originals) { |pairs| (shown += pairs.length) && yield(pairs) }
          bytes, originals = 0, []
        end
        pass_on(originals) { |pairs| (shown += pairs.length) && yield(pairs) }
        raise Refusal.new("data.no_features") if count.zero?
        raise @refused.first if shown.zero? && @refused.any? && !@lenient
        remark_empty
      end

      private

      def remark_empty
        if @empty.positive?
          @remarks << "#{@empty} #{(@empty == 1) ? "feature has" : "features have"} no geometry and " \
            "#{(@empty == 1) ? "is" : "are"} left out."
        end
        @empty = 0
      end

      def pass_on(originals)
        pairs = reproject(originals)
        yield pairs unless pairs.empty?
      end

      # Lets a bad feature pass by where the reader is lenient.
      def tolerant
        yield
      rescue Refusal => error
        raise unless @lenient
        @refused << error
        nil
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
        name = "Feature #{index + 1}#{title_of(entry, attributes)}"
        return (@empty += 1) && nil if empty?(entry["geometry"])
        Original.new(
          id: number,
          name: name,
          attributes: attributes.to_h { |key, value| [sound(key), plain(value, key, name)] },
          wkb: encode(entry["geometry"], name, 0)
        )
      end

      LARGEST_NUMBER = 2_147_483_647
      private_constant :LARGEST_NUMBER

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

      def title_of(entry, attributes)
        key = entry["id"] || attributes["name"] || attributes["code"]
        key ? " (#{key.to_s[0, 40]})" : ""
      end

      def plain(value, key, name)
        case value
        when String
          sound(value)[0, LONGEST_TEXT]
        when Hash, Array
          JSON.generate(value)[0, LONGEST_TEXT]
        when Float
          value.finite? ? value : raise(Refusal.new("data.value_too_large", name: name, field: key))
        when Integer
          (value.bit_length < 64) ? value : plain(value.to_f, key, name)
        else
          value
        end
      rescue JSON::GeneratorError
        raise Refusal.new("data.value_kind", name: name, field: key)
      end

      # NUL and its like are no text; half characters give way to U+FFFD.
      def sound(text) = text.scrub.delete("\u0000-\u0008\u000B\u000C\u000E-\u001F")

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

      def reproject(originals)
        pairs = []
        @reprojector.each(originals) do |item, result|
          # What the target cannot show does not keep the rest out.
          next @refused << result if result.is_a?(Refusal)
          pairs << [Feature.new(id: item.id, attributes: item.attributes, wkb: result), item]
        end
        pairs
      end
    end
  end
end
