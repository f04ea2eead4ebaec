# frozen_string_literal: true

module TileLoom
  module Index
    # Which features of the study area lie on no sheet, wholly or in part: surfaces, lines and points alike.
    class LeftOut
      # One layer's features of one kind. layer: its id, or nil for shapes drawn by hand; kind: :point, :line, :area;
      # whole: lie they on no sheet at all? size: length or area that no sheet shows, in reference units; of lines in
      # metres on the ground.
      Loss = Struct.new(:layer, :kind, :whole, :count, :size, keyword_init: true)

      KINDS = {1 => :point, 4 => :point, 2 => :line, 5 => :line, 3 => :area, 6 => :area}.freeze
      WORDS = {
        :point => %w[point points],
        :line => %w[line lines],
        :area => %w[polygon polygons],
        nil => %w[feature features]
      }.freeze
      # Less than this on paper is rounding.
      LEAST_MM = 0.1

      # The JoinedGround of the cells.
      attr_reader :ground

      # cells: Cell list; features: [layer id or nil, Data::Feature] list; size: the CellSize of the index.
      def initialize(cells, features, size)
        @ground, @features = JoinedGround.new(cells), features
        @least = LEAST_MM * size.scale / 1000.0 / size.crs.metres_per_unit
        @crs = size.crs
      end

      # Loss list, by layer; wholly missing ones first.
      def losses
        @losses ||=
          found
            .group_by { |loss| [loss.layer, loss.kind, loss.whole] }
            .map do |(layer, kind, whole), list|
              Loss.new(layer: layer, kind: kind, whole: whole, count: list.length, size: list.sum(&:size))
            end
            .sort_by
            .with_index { |loss, index| [loss.whole ? 0 : 1, index] }
      end

      # In words: "1 point of Hazards on no sheet". titles: layer id → title.
      def sentences(titles)
        losses.map do |loss|
          one, many = WORDS.fetch(loss.kind)
          what =
            if loss.layer
              "#{Units::Number.grouped(loss.count)} #{(loss.count == 1) ? one : many} of " \
                "#{titles.fetch(loss.layer, loss.layer)}"
            else
              "#{Units::Number.grouped(loss.count)} drawn #{(loss.count == 1) ? "shape" : "shapes"}"
            end
          verb = (loss.count == 1) ? "is" : "are"
          loss.whole ? "#{what} #{verb} on no sheet" : "#{what} #{verb} partly outside all sheets#{length(loss)}"
        end
      end

      private

      def length(loss) = (loss.kind == :line) ? " (#{Units::Number.grouped(loss.size.ceil)} m)" : ""

      def tree = @tree ||= Geometry::ShapeTree.new(ground.shapes)

      # Where most of them are near, all are as good, and united once.
      def union_of(near) = (near.length * 2 > ground.shapes.length) ? ground.union : Geometry::Geos.union(near)

      def found
        @features.filter_map do |layer, feature|
          Pulse.step
          shape = Geometry::Geos.read(feature.wkb)
          next if shape.empty?
          near = tree.query(shape)
          next if near.length < 9 && near.any? { |part| part.covers?(shape) }
          rest = near.empty? ? shape : shape.difference(union_of(near))
          loss(layer, feature, shape, rest, near)
        end
      end

      def loss(layer, feature, shape, rest, near)
        kind = KINDS[feature.wkb.getbyte(1)]
        size =
          {
            point: ->(part) { part.empty? ? 0.0 : part.num_geometries.to_f },
            line: ->(part) { part.length },
            area: ->(part) { part.area }
          }.fetch(kind) { ->(part) { part.length + part.area } }
        missing, all = size[rest], size[shape]
        return nil if rest.empty? || missing <= least(kind)
        Loss.new(
          layer: layer,
          kind: kind,
          whole: near.empty? || missing >= all * (1 - 1e-9),
          count: 1,
          size: (kind == :line) ? ground_m(rest) : missing
        )
      end

      def ground_m(lines)
        Geometry::Wkb.each_run(Geometry::Geos.write(lines)).sum { |_, run, _| Crs::Geodesic.new(@crs).length_m(run) }
      end

      def least(kind) = {point: 0.0, area: @least**2}.fetch(kind, @least)
    end
  end
end
