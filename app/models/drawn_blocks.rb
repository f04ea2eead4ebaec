# frozen_string_literal: true

module App
  # The packed features of a layer at one level, as far as they are asked for. They never change, so that both where
  # blocks lie and the blocks that were used last stay in memory, for all requests of a process.
  class DrawnBlocks
    # Blocks, by their bytes.
    KEPT = TileLoom::RecentlyUsed.new(96 * 1024**2)
    # Lists of where blocks lie.
    PLACES = TileLoom::Assets::Readings.new(300)
    # Blocks that one query fetches.
    AT_ONCE = 64
    private_constant :PLACES

    def initialize(layer, level)
      @layer, @level = layer, level
      @key = [layer.id, layer.edition, level]
    end

    # The Features whose box meets a Box, all where it is nil, by their identities. thinned: see TileLoom::Data::Feature.
    def features(box, thinned: false)
      found = []
      each(box) { |block| found.concat(block.features(box, thinned: thinned)) }
      found.sort_by!(&:id)
    end

    # Yields each TileLoom::Data::Block that may hold features in a Box; all of them where it is nil.
    def each(box, &block)
      numbers(box).each_slice(AT_ONCE) { |some| fetched(some).each(&block) }
    end

    # May there be features in a Box?
    def any?(box) = numbers(box).any?

    private

    # Numbers of the blocks whose box meets a Box.
    def numbers(box) = places.filter_map { |number, own| number if box.nil? || own.intersects?(box) }

    def places =
      PLACES.fetch(@key) do
        FeatureBlock
          .of(@layer, @level)
          .order(:number)
          .pluck(:number, :min_x, :min_y, :max_x, :max_y)
          .map { |number, *sides| [number, TileLoom::Geometry::Box.new(*sides)] }
      end

    def fetched(numbers)
      known = numbers.to_h { |number| [number, KEPT[[*@key, number]]] }
      missing = known.select { |_, block| block.nil? }.keys
      fetch(missing) { |number, block| known[number] = block } if missing.any?
      # Drawn in another reference meanwhile: nothing is shown in part.
      raise TileLoom::Refusal.new("changes.drawn_anew") if known.value?(nil)
      known.values
    end

    def fetch(numbers)
      FeatureBlock
        .of(@layer, @level)
        .where(number: numbers)
        .pluck(:number, :bytes)
        .each do |number, bytes|
          block = TileLoom::Data::Block.new(bytes.to_s.b)
          KEPT.keep([*@key, number], block, block.bytesize)
          yield number, block
        end
    end
  end
end
