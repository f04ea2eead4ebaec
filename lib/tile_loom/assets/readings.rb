# frozen_string_literal: true

module TileLoom
  module Assets
    # What was read of enclosed files and the like, kept in this process whoever asks for it; the longest unused goes
    # first. Who asks for one that another is reading waits for it; for others nobody waits.
    class Readings
      def initialize(most)
        @most, @lock, @kept = most, Mutex.new, {}
      end

      # What the block gives for a key, read once; a key of nil is not kept, nor is what could not be read.
      def fetch(key, &block)
        return yield unless key
        reading = used(key)
        reading.value(&block)
      rescue
        @lock.synchronize { @kept.delete(key) if @kept[key].equal?(reading) }
        raise
      end

      private

      # One of them, read by whoever comes first.
      class Reading
        def initialize = @lock = Mutex.new

        def value
          @lock.synchronize do
            @found ||= [yield]
            @found.first
          end
        end
      end
      private_constant :Reading

      # The Reading of a key, as the one used last.
      def used(key)
        @lock.synchronize do
          reading = @kept.delete(key) || Reading.new
          @kept.shift while @kept.size >= @most
          @kept[key] = reading
        end
      end
    end
  end
end
