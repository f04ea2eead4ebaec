# frozen_string_literal: true

require "json"
require "zlib"

module App
  # What a change did to the cells of an index: the rows that went and those that came, and what the index was woven
  # with before and after. Undo and redo put them back as they were, whatever made them.
  class CellChange
    # Rows as GridIndex has them; woven: [before, after].
    attr_reader :gone, :come, :woven

    # Runs the block, which keeps cells (GridIndex#keep) and answers what that gave, and returns its effect; nil where
    # the block kept none.
    def self.around(index)
      before = index.woven
      gone, come = yield || return
      new(gone, come, [before, index.woven])
    end

    # As an Edit keeps it.
    def self.read(bytes)
      kept = JSON.parse(Zlib::Inflate.inflate(bytes))
      new(*kept["rows"], kept["woven"])
    end

    def initialize(gone, come, woven)
      @gone, @come, @woven = gone, come, woven
    end

    def to_bytes = Zlib::Deflate.deflate(JSON.generate({"rows" => [gone, come], "woven" => woven}), Zlib::BEST_SPEED)

    # The change that takes this one back.
    def reversed = self.class.new(come, gone, woven.reverse)

    def put(index)
      index.exchange(gone, come)
      index.update!(woven: woven.last)
    end
  end
end
