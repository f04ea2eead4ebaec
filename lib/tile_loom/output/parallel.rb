# frozen_string_literal: true

module TileLoom
  module Output
    # Works in several processes of this machine, in order. Each process takes every n-th item and sends what it made
    # through a pipe, so that no more than a few wait in memory. What a process refuses is refused here.
    class Parallel
      Refused = Struct.new(:error)
      private_constant :Refused

      def initialize(processes: 1) = @processes = processes.to_i.clamp(1, 16)

      # A lazy enumerator of what the block gives for each item.
      def map(items, &block)
        return items.each.lazy.map(&block) if @processes == 1 || items.length < 2
        Enumerator.new { |found| run(items, block) { |page| found << page } }
      end

      # What the block gives, worked out in a process of its own, which leaves this one as it is.
      def apart(&block) = run([nil], ->(_) { block.call }) { |found| return found }

      private

      def run(items, block)
        Artwork::IdleThreads.gone
        pipes = Array.new([@processes, items.length].min) { |index| spawn_share(items, index, block) }
        items.each_index { |index| yield taken(pipes[index % pipes.length][0], index) }
      ensure
        pipes&.each do |reader, pid|
          reader.close
          Process.wait(pid)
        end
      end

      # The pipe's other end is a process of ours.
      def taken(pipe, index)
        found = Marshal.load(pipe) # standard:disable Security/MarshalLoad
        found.is_a?(Refused) ? raise(found.error) : found
      rescue EOFError, TypeError
        raise Failure.new("output.process_stopped", index: index + 1)
      end

      def spawn_share(items, share, block)
        reader, writer = IO.pipe(binmode: true)
        pid =
          fork do
            reader.close
            items.each_with_index do |item, index|
              Marshal.dump(block.call(item), writer) if index % @processes == share
            end
          rescue Refusal, Failure => error
            Marshal.dump(Refused.new(error), writer)
          rescue Errno::EPIPE
            nil
          ensure
            writer.close
            exit!(0)
          end
        writer.close
        [reader, pid]
      end
    end
  end
end
