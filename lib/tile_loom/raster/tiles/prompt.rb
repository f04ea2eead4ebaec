# frozen_string_literal: true

module TileLoom
  module Raster
    module Tiles
      # Tiles for those who may not wait: they are asked for in threads of their own, and a drawing waits for all of its
      # tiles no longer than it may. What comes later is in the cache when the next drawing asks.
      class Prompt
        SECONDS = 2.0
        # Threads for each host, which takes no more at once from all processes together.
        THREADS = Fetch::CONNECTIONS
        MOST_WAITING = 2_000

        # A tile that is asked for: how it is known, and what comes of it.
        class Ticket
          def initialize
            @lock, @came = Mutex.new, ConditionVariable.new
          end

          def fulfil(found)
            @lock.synchronize do
              @found = found
              @came.broadcast
            end
          end

          # What came, or nil where that takes longer than so many seconds.
          def within(seconds)
            deadline = Prompt.now + seconds
            @lock.synchronize do
              @came.wait(@lock, [deadline - Prompt.now, 0.001].max) until @found || Prompt.now >= deadline
              @found
            end
          end
        end

        # The threads of this process, for each host and cache; a process that was forked has its own.
        class Pool
          def initialize
            @lock, @queues, @tickets, @process = Mutex.new, {}, {}, ::Process.pid
          end

          # The Ticket of an address; nil where too many wait already.
          def ask(url, fetch)
            @lock.synchronize do
              forget unless @process == ::Process.pid
              @tickets.fetch(url) do
                queue = queue(url[%r{\A[^/]+//[^/]+}])
                next nil if queue.length >= MOST_WAITING
                Ticket.new.tap do |ticket|
                  @tickets[url] = ticket
                  queue << [url, fetch, ticket]
                end
              end
            end
          end

          private

          def forget
            @process = ::Process.pid
            @queues, @tickets = {}, {}
          end

          def queue(host) = @queues[host] ||= Queue.new.tap { |queue| THREADS.times { start(queue) } }

          def start(queue)
            Thread.new do
              Thread.current.report_on_exception = false
              loop { serve(*queue.pop) }
            end
          end

          def serve(url, fetch, ticket)
            ticket.fulfil(fetch.get(url))
          rescue => error
            # Whoever waits is told; the thread goes on.
            ticket.fulfil(error)
          ensure
            @lock.synchronize { @tickets.delete(url) }
          end
        end

        POOL = Pool.new
        private_constant :POOL

        def self.now = ::Process.clock_gettime(::Process::CLOCK_MONOTONIC)

        # fetch: a Fetch; seconds: that a drawing waits for what is not in the cache.
        def initialize(fetch, seconds: SECONDS)
          @fetch, @seconds = fetch, seconds
        end

        # For another drawing, whose time begins with its first tile.
        def afresh = self.class.new(@fetch, seconds: @seconds)

        # See Fetch#get; status Fetch::WAITING for what is still on its way.
        def get(url)
          known = @fetch.at_hand(url)
          return known if known
          @until ||= Prompt.now + @seconds
          found = POOL.ask(url, @fetch)&.within([@until - Prompt.now, 0].max)
          raise found if found.is_a?(Exception)
          found || Fetch::Found.new(status: Fetch::WAITING)
        end
      end
    end
  end
end
