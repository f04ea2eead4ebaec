# frozen_string_literal: true

module TileLoom
  # Values by their keys, of a process, as many as are no larger together than it may be; the longest unused go first.
  class RecentlyUsed
    # most: the sum of all sizes.
    def initialize(most)
      @most, @lock, @kept, @size = most, Mutex.new, {}, 0
    end

    # The value of this key, or nil.
    def [](key) = @lock.synchronize { @kept.delete(key)&.tap { |entry| @kept[key] = entry } }&.first

    def keep(key, value, size)
      @lock.synchronize do
        next if @kept.key?(key)
        @kept[key] = [value, size]
        @size += size
        @size -= @kept.shift[1][1] while @size > @most
      end
    end

    # Forgets all of them.
    def clear = @lock.synchronize { (@size = 0) && @kept.clear }
  end
end
