# frozen_string_literal: true

module App
  # Keeps a large layer's geometry at a few coarser levels, so that a map of all of it is as quick as
  # one of a corner. Each level has a tolerance: lines are simplified to it, and of features that are
  # smaller than it and lie together one stands for all that look alike (that agree in every attribute
  # of few values). Sheets and prints never use it.
  class CoarseLevels
    # Layers below both need none.
    VERTICES, FEATURES = 20_000, 5_000
    # The finest tolerance as a share of the layer's larger side, and how much each level is coarser.
    FINEST, STEP, MOST_LEVELS = 1.0 / 24_000, 4.0, 3
    # Points within so many tolerances of one another count as together.
    TOGETHER = 4.0
    MOST_VALUES = 12
    BATCH = 1_000

    def initialize(layer) = @layer = layer

    def wanted? = !@layer.extent.nil? && (@layer.vertex_count > VERTICES || @layer.feature_count > FEATURES)

    # Makes all levels anew; each counts only when it is whole. Yields now and then.
    def build
      drop
      return unless wanted?
      levels = tolerances.each_with_index.map { |tolerance, level| [level, tolerance] }
      kinds = few_valued
      levels.each do |level, tolerance|
        fill(level, tolerance, kinds)
        yield if block_given?
      end
      @layer.update_columns(coarse_levels: levels)
    end

    def drop
      @layer.update_columns(coarse_levels: nil)
      CoarseFeature.where(layer_id: @layer.id).delete_all
    end

    private

    def tolerances
      finest = [@layer.extent.width, @layer.extent.height].max * FINEST
      (0...MOST_LEVELS).map { |level| finest * STEP**level }
    end

    # Names of the attributes with so few values that they may decide on a symbol.
    def few_valued
      seen = Hash.new { |hash, name| hash[name] = {} }
      each_row do |_, _, properties|
        properties.each { |name, value| seen[name][value] = true if seen[name].length <= MOST_VALUES }
      end
      seen.select { |_, values| values.length <= MOST_VALUES }.keys
    end

    def each_row(&block)
      @layer.each_batch(BATCH, :shape, :properties) { |rows| rows.each(&block) }
    end

    def fill(level, tolerance, kinds)
      taken = {}
      rows = []
      each_row do |identity, shape, properties|
        coarse = coarse(shape, tolerance, taken, properties.values_at(*kinds)) or next
        rows << {layer_id: @layer.id, level: level, identity: identity, shape: coarse, properties: properties}
        rows.length >= BATCH && CoarseFeature.insert_all(rows.slice!(0..))
      end
      CoarseFeature.insert_all(rows) if rows.any?
    end

    # The geometry at a tolerance, or nil where another stands for it.
    def coarse(shape, tolerance, taken, look)
      geometry = TileLoom::Geometry::Geos.read(shape)
      box = TileLoom::Geometry::Geos.envelope(geometry) or return nil
      point = [1, 4].include?(shape.getbyte(1))
      if point || [box.width, box.height].max < tolerance
        cell = tolerance * TOGETHER
        place = [(box.min_x / cell).floor, (box.min_y / cell).floor, look]
        return nil if taken[place]
        taken[place] = true
        return shape if point
      end
      simple = geometry.simplify(tolerance)
      simple.empty? ? TileLoom::Geometry::Wkb.box(box) : TileLoom::Geometry::Geos.write(simple)
    end
  end
end
