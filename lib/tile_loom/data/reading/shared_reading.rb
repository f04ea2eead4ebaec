# frozen_string_literal: true

require "etc"

module TileLoom
  module Data
    # Work on what streams by, shared by several processes of this machine: each takes every n-th share, and what they
    # make of them comes back in order. Only a share or two of each wait.
    class SharedReading
      # That share the reading of a large layer on this machine.
      PROCESSES = Etc.nprocessors.clamp(1, 4)
      DONE = Object.new.freeze

      # work: what a process does with a share; what it gives, or the Refusal that it raises, must be such as Marshal
      # takes.
      def initialize(processes, &work)
        @processes, @work = processes, work
      end

      # source: anything that answers each. Yields what came of each share; raises what a share was refused for.
      def each(source)
        hands = hire
        sent = Queue.new
        feeder = Thread.new { feed(source, hands, sent) }
        feeder.report_on_exception = false
        index = -1
        while (token = sent.pop) != DONE
          raise token if token.is_a?(Exception)
          reply = answer(hands[(index += 1) % hands.length])
          raise reply if reply.is_a?(Refusal)
          yield reply
        end
      ensure
        feeder&.kill&.join
        dismiss(hands || [])
      end

      private

      Hand = Struct.new(:pid, :into, :from)
      private_constant :Hand

      def hire = Array.new(@processes).each_with_object([]) { |_, hands| hands << hand(hands) }

      def hand(others)
        share, into = IO.pipe(binmode: true)
        from, reply = IO.pipe(binmode: true)
        pid =
          fork do
            [into, from, *others.flat_map { |other| [other.into, other.from] }].each(&:close)
            serve(share, reply)
          rescue EOFError, Errno::EPIPE
            nil
          ensure
            exit!(0)
          end
        [share, reply].each(&:close)
        Hand.new(pid, into, from)
      end

      # The pipes' other ends are processes of ours.
      def serve(share, reply)
        loop { put(made(take(share)), reply) }
      end

      def made(given)
        @work.call(given)
      rescue Refusal => error
        error
      end

      def feed(source, hands, sent)
        index = -1
        source.each do |share|
          put(share, hands[(index += 1) % hands.length].into)
          sent << index
        end
        sent << DONE
      rescue => error
        sent << error
      end

      # Its length before it, so that it is read in one go. The bytes are given back at once, here and below: Ruby would
      # let hundreds of megabytes of them lie.
      def put(value, into)
        bytes = Marshal.dump(value)
        into.write([bytes.bytesize].pack("Q<"), bytes)
        bytes.clear
      end

      # EOFError where the process at the other end has stopped.
      def take(from)
        length = from.read(8)&.unpack1("Q<") or raise EOFError
        bytes = from.read(length)
        raise EOFError if bytes.to_s.bytesize < length
        Marshal.load(bytes).tap { bytes.clear } # standard:disable Security/MarshalLoad
      end

      def answer(hand)
        take(hand.from)
      rescue EOFError
        raise Failure.new("data.reader_stopped")
      end

      def dismiss(hands)
        hands.flat_map { |hand| [hand.into, hand.from] }.each(&:close)
        hands.each { |hand| Process.wait(hand.pid) }
      end
    end
  end
end
