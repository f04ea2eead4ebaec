# frozen_string_literal: true

module App
  # The packed features of a layer at one level, as far as they are asked for. They never change, so that both where
  # blocks lie and the blocks that were used last stay in memory, for all requests of a process.
  class DrawnBlocks
    # Bytes of blocks in memory.
    MOST_BYTES = 96 * 1024**2
    # Lists of where blocks lie.
    PLACES = TileLoom::Assets::Readings.new(300)
    # Blocks that one query fetches.
    AT_ONCE = 64
    private_constant :PLACES

    @lock, @kept, @bytes = Mutex.new, {}, 0

    class << self
      # The block of this key, or nil.
      def kept(key) = @lock.synchronize { @kept.delete(key)&.tap { |block| @kept[key] = block } }

      def keep(key, block)
        @lock.synchronize do
          next if @kept.key?(key)
          @kept[key] = block
          @bytes += block.bytesize
          @bytes -= @kept.shift[1].bytesize while @bytes > MOST_BYTES
        end
      end

      # Forgets all of them.
      def clear = @lock.synchronize { (@bytes = 0) && @kept.clear }
    end

    def initialize(layer, level)
      @layer, @level = layer, level
      @key = [layer.id, layer.edition, level]
    end

    # Yields each TileLoom::Data::Block that may hold features in a Box; all of them where it is nil.
    def each(box, &block)
      numbers(box).each_slice(AT_ONCE) { |some| fetched(some).each(&block) }
    end

    # May there be features in a Box?
    def any?(box) = numbers(box).any?

    private

    # Numbers of the blocks whose box meets a Box.
    def numbers(box)
      found = places
      return found.map(&:first) if box.nil?
      found.filter_map do |number, min_x, min_y, max_x, max_y|
        number if min_x <= box.max_x && max_x >= box.min_x && min_y <= box.max_y && max_y >= box.min_y
      end
    end

    def places =
      PLACES.fetch(@key) do
        FeatureBlock.of(@layer, @level).order(:number).pluck(:number, :min_x, :min_y, :max_x, :max_y)
      end

    def fetched(numbers)
      known = numbers.to_h { |number| [number, self.class.kept([*@key, number])] }
      missing = known.select { |_, block| block.nil? }.keys
      if missing.any?
        FeatureBlock
          .of(@layer, @level)
          .where(number: missing)
          .pluck(:number, :bytes)
          .each do |number, bytes|
            known[number] = TileLoom::Data::Block.new(bytes.to_s.b)
            self.class.keep([*@key, number], known[number])
          end
      end
      # Drawn in another reference meanwhile: nothing is shown in part.
      raise TileLoom::Refusal.new("changes.drawn_anew") if known.value?(nil)
      known.values
    end
  end
end
