# frozen_string_literal: true

module Bench
  # Work in a process of its own, so that its memory can be told.
  module Apart
    module_function

    # [what the block gives, peak memory of its process in MB]. What it gives must be such as Marshal takes.
    def run = TileLoom::Output::Parallel.new.apart { [yield, megabytes] }

    # Peak memory of this process in MB.
    def megabytes = File.read("/proc/self/status")[/VmHWM:\s+(\d+)/, 1].to_i / 1024
  end
end
