# frozen_string_literal: true

module TileLoom
  module Index
    # How the features of a layer fall on the cells: on none, whole on one, on several, or cut by an edge
    # wherever they appear.
    class FeatureCover
      # Features on no cell; cut everywhere; on more than one: as Data::Feature lists.
      attr_reader :missing, :cut, :several, :count

      def initialize(cells, features)
        @cells = Geometry::ShapeTree.new(cells.map { |cell| cell.ground.shape })
        @missing, @cut, @several, @count = [], [], [], features.length
        features.each { |feature| sort(feature) }
      end

      private

      def sort(feature)
        Pulse.step
        shape = Geometry::Geos.read(feature.wkb)
        return if shape.empty?
        cells = @cells.query(shape).select { |cell| cell.intersects?(shape) }
        return @missing << feature if cells.empty?
        @several << feature if cells.length > 1
        @cut << feature if cells.none? { |cell| cell.covers?(shape) }
      end
    end
  end
end
