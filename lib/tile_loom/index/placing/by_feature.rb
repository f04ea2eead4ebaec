# frozen_string_literal: true

module TileLoom
  module Index
    # One sheet for each feature, the frame centred on it; several for what a frame cannot hold, if wanted.
    class ByFeature
      CENTRES = %w[extent inner].freeze
      MOST_CELLS = 100_000
      # A feature is so many steps of work (see Pulse).
      STEPS = 2

      # Features that the frame does not hold at their scale: [name, share of the feature in the frame].
      attr_reader :too_large

      # size: gives a CellSize for a scale; rule: a ScaleRule; centre: "extent" (the centre of its extent) or "inner"
      # (the middle of the largest circle inside it); several: is a feature too large for a frame split? overlap_mm:
      # between the sheets of one feature.
      def initialize(size:, rule:, centre: "extent", several: false, overlap_mm: [0.0, 0.0])
        @size, @rule, @centre, @several, @overlap_mm = size, rule, centre, several, overlap_mm
        @too_large = []
      end

      # Cells in the order of the features. Yields each feature for its name; column counts the sheets of
      # one feature.
      def cells(features)
        raise Refusal.new("index.no_feature", at: "/index/area") if features.empty?
        if features.length > MOST_CELLS
          raise Refusal.new(
            "index.too_many_sheets",
            count: Units::Number.grouped(features.length),
            most: Units::Number.grouped(MOST_CELLS),
            at: "/index/area"
          )
        end
        @too_large = []
        Pulse.expect(features.length * STEPS)
        found =
          features.each_with_index.flat_map do |feature, row|
            Pulse.step(STEPS)
            name = yield(feature).to_s
            rectangles(feature, name).each_with_index.map do |(rectangle, scale), column|
              [row, column, rectangle, scale, column.zero? ? name : "#{name}-#{column + 1}", feature.id]
            end
          end
        found.each_with_index.map do |(row, column, rectangle, scale, name, id), index|
          Cell.new(
            number: index + 1,
            name: name,
            row: row,
            column: column,
            scale: scale,
            ground: rectangle,
            feature: id
          )
        end
      end

      private

      # [[rectangle, scale], …] of a feature.
      def rectangles(feature, name)
        shape = Geometry::Geos.read(feature.wkb)
        box = Geometry::Geos.envelope(shape) or return []
        place = centre(shape, box)
        scale = @rule.scale(frame_mm, feature.attributes) { |frame| need(box, place, frame) }
        size = @size.call(scale)
        rectangle = Geometry::TurnedRectangle.new(*place, *size.at(*place), 0.0)
        return [[rectangle, scale]] if holds?(rectangle, box)
        @too_large << name
        return [[rectangle, scale]] unless @several
        grid = Grid.new(area: StudyArea.new([feature]), size: size, overlap_mm: @overlap_mm)
        grid.cells.map { |cell| [cell.ground, scale] }
      end

      def frame_mm = @frame_mm ||= @size.call(1000).then { |size| [size.frame_width_mm, size.frame_height_mm] }

      # The least denominator at which the box stands in a frame about the place.
      def need(box, place, frame)
        half = [[place[0] - box.min_x, box.max_x - place[0]].max, [place[1] - box.min_y, box.max_y - place[1]].max]
        per_mm = @size.call(1000).units_per_mm(*place) / 1000
        [2 * half[0] / frame[0], 2 * half[1] / frame[1]].max.then { |units| [units / per_mm, 1.0].max }
      end

      def centre(shape, box)
        return box.centre unless @centre == "inner" && shape.area.positive?
        circle = shape.maximum_inscribed_circle([box.width, box.height].max / 1000)
        Geometry::Wkb.each_run(Geometry::Geos.write(circle)).first[1].first(2)
      end

      def holds?(rectangle, box)
        seen = rectangle.box.grow([rectangle.width, rectangle.height].max * 1e-9)
        seen.include?(box.min_x, box.min_y) && seen.include?(box.max_x, box.max_y)
      end
    end
  end
end
