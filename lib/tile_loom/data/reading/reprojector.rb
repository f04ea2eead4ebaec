# frozen_string_literal: true

module TileLoom
  module Data
    # Takes features as they came into another reference: all of a batch through PROJ at once, each
    # feature refused on its own where it lies outside what the target can show, and mended where its
    # rings cross.
    class Reprojector
      # repairs: sentences that name the feature.
      attr_reader :repairs

      # scale: the denominator at which edges in degrees are to bend as they should; nil leaves them straight.
      def initialize(from:, to:, scale: nil)
        @target = to
        @transform = Crs::Transform.between(from, to)
        @densifier = Densifier.new(@transform, scale)
        @repairs = []
      end

      # originals: anything with `name` and `wkb`. Yields each with its well-known binary in the target, or
      # with the Refusal that refuses it.
      def each(originals)
        found = moved(originals)
        sound = valid?(found)
        originals.zip(found) { |item, shape| yield item, (sound || shape.is_a?(Refusal)) ? shape : mended(shape, item) }
      end

      private

      # Well-known binary of each in the target, or the Refusal.
      def moved(originals)
        return originals.map(&:wkb) if @transform.from == @transform.to
        shapes = originals.map { |item| @densifier.dense(item.wkb) }
        runs = shapes.map { |wkb| Geometry::Wkb.each_run(wkb).map { |_, coordinates| coordinates } }
        moved = @transform.forward(runs.flatten)
        at = 0
        originals
          .zip(runs, shapes)
          .map do |item, parts, wkb|
            length = parts.sum(&:length)
            mine = moved[at, length]
            at += length
            outside(item, parts, mine) || Geometry::Wkb.replace(wkb, mine)
          end
      end

      # Are all areas among them valid? GEOS looks at those of a collection one by one, so that one question does for
      # all.
      def valid?(shapes)
        areas = shapes.select { |shape| shape.is_a?(String) && area?(shape) }
        areas.empty? || Geometry::Geos.read(Geometry::Wkb.collection(7, areas)).valid?
      rescue ::Geos::GEOSException
        false
      end

      def area?(wkb) = wkb.getbyte(1) == 3 || wkb.getbyte(1) >= 6

      def outside(item, parts, mine)
        bad = mine.index { |number| !number.finite? } or return
        place = parts.flatten[bad - bad % 2, 2].map { |number| Units::Number.plain(number) }.join(", ")
        Refusal.new("data.outside_crs", name: item.name, crs: @target.name, point: place)
      end

      def mended(wkb, item)
        return wkb unless area?(wkb)
        geometry = Geometry::Geos.read(wkb)
        return wkb if geometry.valid?
        @repairs << "#{item.name}: #{geometry.valid_reason.to_s.downcase} – mended."
        Geometry::Geos.write(geometry.make_valid)
      end
    end
  end
end
