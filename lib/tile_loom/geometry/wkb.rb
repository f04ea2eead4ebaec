# frozen_string_literal: true

module TileLoom
  module Geometry
    # Well-known binary (OGC 06-103r4, clause 8), two-dimensional, little-endian: the form in which
    # coordinates move in bulk between GEOS, PROJ, the database and the drawing.
    module Wkb
      POINT, LINE, POLYGON = 1, 2, 3
      MULTI = {4 => POINT, 5 => LINE, 6 => POLYGON, 7 => nil}.freeze
      MOST_DEPTH = 8

      module_function

      # Calls the block with (type, coordinates, ring) for each point, line and ring in the geometry;
      # coordinates are flat [x, y, …]; ring is true for rings of polygons.
      def each_run(bytes)
        return enum_for(:each_run, bytes) unless block_given?
        walk(bytes, 0, 0) { |type, offset, count| yield type, bytes.unpack("@#{offset}E#{count * 2}"), type == POLYGON }
      end

      # The same geometry with all its coordinates passed, flat, through the block.
      def map(bytes) = replace(bytes, yield(each_run(bytes).flat_map { |_, coordinates| coordinates }))

      # The same geometry with other runs: the block gives the flat coordinates, of any number, for (type, coordinates)
      # of each point, line and ring.
      def map_runs(bytes)
        result, at = +"".b, 0
        walk(bytes, 0, 0) do |type, offset, count|
          fresh = yield type, bytes.unpack("@#{offset}E#{count * 2}")
          # A point has no count before it.
          counted = (type == POINT) ? 0 : 4
          result << bytes.byteslice(at...offset - counted)
          result << [fresh.length / 2].pack("V") if counted.positive?
          result << fresh.pack("E*")
          at = offset + count * 16
        end
        result << bytes.byteslice(at..)
      end

      # The same geometry with other coordinates, flat, in place of its own.
      def replace(bytes, coordinates)
        result = bytes.dup
        at = 0
        walk(bytes, 0, 0) do |_type, offset, count|
          result[offset, count * 16] = (
            (at.zero? && count * 2 == coordinates.length) ? coordinates : coordinates[at, count * 2]
          ).pack("E*")
          at += count * 2
        end
        result
      end

      # The Box of many geometries, or nil where all are empty.
      def extent(all)
        sides = Box::NO_SIDES
        all.each do |bytes|
          walk(bytes, 0, 0) do |_type, offset, count|
            sides = Box.widen(sides, bytes.unpack("E#{count * 2}", offset: offset))
          end
        end
        (sides[0] <= sides[2]) ? Box.new(*sides) : nil
      end

      def point(x, y) = [1, POINT, x, y].pack("CVEE")

      def line(coordinates) = [1, LINE, coordinates.length / 2].pack("CVV") + coordinates.pack("E*")

      # rings: flat, closed coordinate arrays, the outer one first.
      def polygon(rings)
        [1, POLYGON, rings.length].pack("CVV") + rings.map { |ring| [ring.length / 2].pack("V") + ring.pack("E*") }.join
      end

      # type: 4…7; parts: well-known binary of each member.
      def collection(type, parts) = [1, type, parts.length].pack("CVV") + parts.join

      # Well-known binary of a Box as a polygon.
      def box(box)
        ring = box.corners
        polygon([ring + ring[0, 2]])
      end

      # Yields type, offset and number of points of each run of a geometry; returns the offset after it. Refusal for
      # what is nested too deep or no geometry.
      def walk(bytes, offset, depth, &block)
        raise Refusal.new("geometry.nested_too_deep", most: MOST_DEPTH) if depth > MOST_DEPTH
        order, type = bytes.unpack("@#{offset}CV")
        raise Refusal.new("geometry.byte_order") unless order == 1
        offset += 5
        case type
        when POINT
          yield POINT, offset, 1
          offset + 16
        when LINE
          count = bytes.unpack1("@#{offset}V")
          yield LINE, offset + 4, count if count.positive?
          offset + 4 + count * 16
        when POLYGON
          rings = bytes.unpack1("@#{offset}V")
          offset += 4
          rings.times do
            count = bytes.unpack1("@#{offset}V")
            yield POLYGON, offset + 4, count
            offset += 4 + count * 16
          end
          offset
        when 4..7
          count = bytes.unpack1("@#{offset}V")
          offset += 4
          count.times { offset = walk(bytes, offset, depth + 1, &block) }
          offset
        else
          raise Refusal.new("geometry.kind", type: type)
        end
      end
    end
  end
end
