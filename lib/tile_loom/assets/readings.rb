# frozen_string_literal: true

module TileLoom
  module Assets
    # What was read of enclosed files, kept in this process whatever book asks for it; the longest unused goes
    # first.
    class Readings
      def initialize(most)
        @most, @lock, @kept = most, Mutex.new, {}
      end

      # What the block gives for a key, read once; a key of nil is not kept.
      def fetch(key)
        return yield unless key
        @lock.synchronize do
          found = @kept.delete(key) || yield
          @kept.shift while @kept.size >= @most
          @kept[key] = found
        end
      end
    end
  end
end
