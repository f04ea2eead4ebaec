# frozen_string_literal: true

require "json"

module TileLoom
  module View
    # The land of the earth, generalised for maps at about 1:110 and 1:50 million: Natural Earth (public domain), as
    # npm's world-atlas has it in TopoJSON. Its rings are of the sphere, without a cut at the 180° meridian.
    class World
      FOLDER = File.join(ROOT, "lib/tile_loom/view/world")
      CREDIT = "Land: Natural Earth"
      # Up to this scale denominator the coarser one is enough.
      COARSE_FROM = 100_000_000

      # The one that suits a scale.
      def self.at(scale) = named((scale >= COARSE_FROM) ? "land-110m" : "land-50m")

      def self.named(name)
        @known ||= {}
        @known[name] ||= new(File.join(FOLDER, "#{name}.json"))
      end

      def initialize(file) = @file = file

      # Its polygons: lists of closed flat rings of degrees, the inside on their left.
      def polygons = @polygons ||= read

      # The same in unit vectors.
      def vectors = @vectors ||= polygons.map { |rings| rings.map { |ring| Crs::Horizon.vectors(ring) } }

      private

      # TopoJSON (its specification, 2.1.3 to 2.1.4): arcs count on from point to point in steps of a grid; ~n is arc n
      # backwards; the first point of an arc is the last of the one before.
      def read
        topology = JSON.parse(File.read(@file))
        arcs = arcs(topology)
        topology["objects"]["land"]["geometries"]
          .flat_map do |geometry|
            (geometry["type"] == "MultiPolygon") ? geometry["arcs"] : [geometry["arcs"]]
          end # There the inside is on the right, as of d3's sphere.
          .map { |rings| rings.map { |list| ring(list, arcs).reverse.flatten } }
      end

      def arcs(topology)
        scale, move = topology["transform"].values_at("scale", "translate")
        topology["arcs"].map do |steps|
          x = y = 0
          steps.map do |dx, dy|
            x += dx
            y += dy
            [x * scale[0] + move[0], y * scale[1] + move[1]]
          end
        end
      end

      def ring(list, arcs)
        points = []
        list.each do |index|
          arc = index.negative? ? arcs[~index].reverse : arcs[index]
          points.concat(points.empty? ? arc : arc.drop(1))
        end
        points
      end
    end
  end
end
