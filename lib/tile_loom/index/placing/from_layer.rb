# frozen_string_literal: true

module TileLoom
  module Index
    # Cells from polygons that were drawn elsewhere: each about the polygon's middle, turned as it is, at a
    # scale that an attribute gives or that the polygon's width implies.
    class FromLayer
      # By how much a polygon's sides may differ from the frame's ground.
      TOLERANCE = 0.01

      # Names of polygons whose shape is not the frame's.
      attr_reader :misfits

      # size: gives a CellSize for a scale; scale: held where nothing else says; scale_field, rotation_field: names of
      # attributes, or nil; clockwise: is that how the rotation counts?
      def initialize(size:, scale:, scale_field: nil, rotation_field: nil, clockwise: true)
        @size, @scale, @scale_field, @rotation_field, @clockwise = size, scale, scale_field, rotation_field, clockwise
        @misfits = []
      end

      # Yields each feature for its name.
      def cells(features)
        raise Refusal.new("index.no_polygons", at: "/index/area") if features.none? { |feature| surface?(feature) }
        @misfits = []
        features
          .select { |feature| surface?(feature) }
          .each_with_index
          .map do |feature, index|
            name = yield(feature).to_s
            x, y, width, height, turn = place(feature)
            scale = scale_of(feature)
            wide, high = @size.call(scale).at(x, y)
            @misfits << name unless near?(width, wide) && near?(height, high)
            Cell.new(
              number: index + 1,
              name: name,
              row: index,
              column: 0,
              scale: scale,
              ground: Geometry::TurnedRectangle.turned(x, y, wide, high, turn),
              feature: feature.id
            )
          end
      end

      private

      def surface?(feature) = [3, 6].include?(feature.wkb.getbyte(1))

      def near?(one, other) = (one - other).abs <= other * TOLERANCE

      def scale_of(feature) =
        @scale_field ? ScaleRule.denominator(@scale_field, feature.attributes, path: "/index/scale_field") : @scale

      # Middle, sides and turn of the smallest rectangle round the polygon, its longer side along the frame's.
      def place(feature)
        ring =
          Geometry::Wkb.each_run(
            Geometry::Geos.write(Geometry::Geos.read(feature.wkb).minimum_rotated_rectangle)
          ).first[
            1
          ]
        corners = ring.each_slice(2).first(4)
        x, y = corners.transpose.map { |values| values.sum / 4 }
        sides = corners.each_cons(2).first(2).map { |(x1, y1), (x2, y2)| [x2 - x1, y2 - y1] }
        wide, high = sides.sort_by { |dx, dy| ((Math.atan2(dy, dx) * 180 / Math::PI + 45) % 180 < 90) ? 0 : 1 }
        turn =
          if @rotation_field
            read = Float(feature.attributes[@rotation_field].to_s, exception: false) || 0.0
            @clockwise ? -read : read
          else
            (Math.atan2(wide[1], wide[0]) * 180 / Math::PI + 90) % 180 - 90
          end
        [x, y, Math.hypot(*wide), Math.hypot(*high), turn.round(9)]
      end
    end
  end
end
