# frozen_string_literal: true

require "ffi"
require "get_process_mem"

module App
  # What a process holds of the machine's memory.
  module Memory
    # glibc's: what was freed goes back to the system (malloc_trim(3)).
    module Allocator
      extend FFI::Library

      ffi_lib FFI::Library::LIBC
      attach_function :malloc_trim, [:size_t], :int
    rescue FFI::NotFoundError
      def self.malloc_trim(_pad) = 0
    end
    private_constant :Allocator

    # Beyond this a process gives back what it can when nobody waits for it, at most so often.
    MUCH_MB, EVERY_S = 400, 15

    module_function

    def mb = GetProcessMem.new.mb

    # Between requests.
    def give_back
      now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      return if @given && now - @given < EVERY_S
      @given = now
      return if mb < MUCH_MB
      GC.start
      Allocator.malloc_trim(0)
    end
  end
end
