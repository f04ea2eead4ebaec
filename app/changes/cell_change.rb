# frozen_string_literal: true

require "json"
require "zlib"

module App
  # What a change did to the cells of an index: the rows that are different before and after, and what
  # the index was woven with. Undo and redo put them back as they were, whatever made them.
  class CellChange
    # Runs the block, which keeps cells (GridIndex#keep) and answers what that gave, and returns its effect as
    # bytes to keep with an Edit; nil where the block kept none.
    def self.around(index)
      before = index.woven
      rows = yield or return
      Zlib::Deflate.deflate(JSON.generate({"rows" => rows, "woven" => [before, index.woven]}), Zlib::BEST_SPEED)
    end

    def initialize(bytes) = @change = JSON.parse(Zlib::Inflate.inflate(bytes))

    # side: :before or :after.
    def put(index, side)
      gone, fresh = (side == :before) ? @change["rows"].reverse : @change["rows"]
      index.exchange(gone, fresh)
      index.update!(woven: @change["woven"][(side == :before) ? 0 : 1])
    end
  end
end
