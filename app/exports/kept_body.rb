# frozen_string_literal: true

module App
  # The bytes of a finished file that lies elsewhere: a body for Rack.
  class KeptBody
    PIECE_BYTES = 256 * 1024

    def initialize(file) = @file = file

    def each
      io = Finished.open(@file.place)
      while (bytes = io.read(PIECE_BYTES))
        yield bytes
      end
    ensure
      io&.close
    end
  end
end
