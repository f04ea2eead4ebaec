# frozen_string_literal: true

require "etc"

module Setup
  # Work that is done side by side, as much at once as there are processors.
  module Lanes
    module_function

    # What the block gives for each item, as they end; items begin in the order given.
    def map(items, lanes: Etc.nprocessors)
      waiting, found = Queue.new, Queue.new
      items.each { |item| waiting << item }
      waiting.close
      Array.new(lanes) { Thread.new { lane(waiting) { |item| found << yield(item) } } }.each(&:join)
      Array.new(found.length) { found.pop }
    end

    # The Process::Status of a child that ends within so many seconds, else nil: then it is ended. every: how often it
    # is looked for, in seconds.
    def status_of(child, seconds:, every: 1)
      (seconds / every).ceil.times do
        Process.wait2(child, Process::WNOHANG)&.then { |_, status| return status } || sleep(every)
      end
      Process.kill("KILL", child)
      Process.wait(child)
      nil
    end

    def lane(waiting)
      while (item = waiting.pop)
        yield item
      end
    end
    private_class_method :lane
  end
end
