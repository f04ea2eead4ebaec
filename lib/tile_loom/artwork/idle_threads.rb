# frozen_string_literal: true

module TileLoom
  module Artwork
    # libvips keeps threads for further work, for 15 s after the last (threadset.c of libvips 8.14). A process that is
    # forked meanwhile takes them for its own and waits for ever for one of them, so that whoever forks waits here
    # first.
    module IdleThreads
      NAME = "libvips worker"
      MOST_S = 20

      module_function

      # Returns when there are none, or it has been long enough.
      def gone
        deadline = now + MOST_S
        sleep 0.1 while any? && now < deadline
      end

      def any? =
        Dir["/proc/self/task/*/comm"].any? do |path|
          File.read(path).chomp == NAME
        rescue SystemCallError
          false
        end

      def now = ::Process.clock_gettime(::Process::CLOCK_MONOTONIC)
      private_class_method :now
    end
  end
end
