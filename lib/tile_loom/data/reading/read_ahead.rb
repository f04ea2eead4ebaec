# frozen_string_literal: true

module TileLoom
  module Data
    # Reads on in a thread of its own while what was read is being dealt with (written to a database,
    # say). Only a few batches wait at a time, so memory stays flat. PROJ's objects may pass to the other
    # thread as long as the first one leaves them alone meanwhile.
    class ReadAhead
      include Enumerable

      MOST_WAITING = 3
      DONE = Object.new.freeze

      # source: anything that answers each with batches; it is walked in the other thread.
      def initialize(source) = @source = source

      # What the source raises is raised here; when the block leaves early the source is stopped.
      def each(&block)
        queue = SizedQueue.new(MOST_WAITING)
        reader = Thread.new { fill(queue) }
        reader.report_on_exception = false
        while (batch = queue.pop) != DONE
          raise batch if batch.is_a?(Exception)
          block.call(batch)
        end
      ensure
        reader&.kill&.join
      end

      private

      def fill(queue)
        @source.each { |batch| queue << batch }
        queue << DONE
      rescue => error
        queue << error
      end
    end
  end
end
