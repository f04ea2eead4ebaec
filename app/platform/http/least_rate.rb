# frozen_string_literal: true

module App
  # Ends connections on which a request comes in more slowly than any line is: its head within a time, its body at a
  # least rate. (Goes before Puma::Client, which waits for as long as a byte comes now and then.)
  module LeastRate
    # Of the head, and before the rate of a body is asked for.
    GRACE_S = 20
    BYTES_A_SECOND = 2_000

    def try_to_finish
      @began ||= LeastRate.now
      done = super
      if done
        @began = nil
      elsif too_slow?
        @error_status_code = 408
        raise Puma::HttpParserError, "The request comes too slowly"
      end
      done
    end

    def reset(...)
      @began = nil
      super
    end

    def self.now = Process.clock_gettime(Process::CLOCK_MONOTONIC)

    private

    def too_slow?
      seconds = LeastRate.now - @began
      return false if seconds < GRACE_S
      # A body that does not say how long it is is refused when it has come (BodyLimit).
      return true unless in_data_phase && !@chunked_body
      received = @env["CONTENT_LENGTH"].to_i - @body_remain
      received < (seconds - GRACE_S) * BYTES_A_SECOND
    end
  end
end
