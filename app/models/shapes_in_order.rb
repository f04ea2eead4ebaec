# frozen_string_literal: true

require "tempfile"

module App
  # The shapes of a layer by the identities of its features: written from the blocks that they lie in into a file, out
  # of which they are read in any order, so that only a number for each is in memory.
  class ShapesInOrder
    # Yields it; its file is gone afterwards.
    def self.open(layer)
      shapes = new(layer)
      yield shapes
    ensure
      shapes&.close
    end

    def initialize(layer)
      @spool = Tempfile.new("tile-loom-shapes", binmode: true)
      @places = {}
      at = 0
      DrawnBlocks
        .new(layer, 0)
        .each(nil) do |block|
          block.ids.each_with_index do |id, place|
            shape = block.shape(place)
            @spool.write(shape)
            # Where it lies and how long it is, in one number.
            @places[id] = at << LENGTH_BITS | shape.bytesize
            at += shape.bytesize
          end
        end
      @spool.flush
    end

    # Well-known binary; of a feature that is drawn nowhere that of a collection of nothing.
    def fetch(identity)
      place = @places[identity] or return NOTHING
      @spool.pread(place & ((1 << LENGTH_BITS) - 1), place >> LENGTH_BITS)
    end

    def close = @spool.close!

    LENGTH_BITS = 30
    NOTHING = TileLoom::Geometry::Wkb.collection(7, []).freeze
    private_constant :LENGTH_BITS, :NOTHING
  end
end
