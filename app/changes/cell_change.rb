# frozen_string_literal: true

require "json"
require "zlib"

module App
  # What a change did to the cells of an index: the rows that went and those that came, and what the index was generated
  # with before and after. Undo and redo put them back as they were, whatever made them.
  class CellChange
    # Rows as GridIndex has them; generated_with: [before, after].
    attr_reader :gone, :come, :generated_with

    # Runs the block, which keeps cells (GridIndex#keep) and answers what that gave, and returns its effect; nil where
    # the block kept none.
    def self.around(index)
      before = index.generated_with
      gone, come = yield || return
      new(gone, come, [before, index.generated_with])
    end

    # As an Edit keeps it.
    def self.read(bytes)
      kept = JSON.parse(Zlib::Inflate.inflate(bytes))
      new(*kept["rows"], kept["generated_with"])
    end

    def initialize(gone, come, generated_with)
      @gone, @come, @generated_with = gone, come, generated_with
    end

    def to_bytes =
      Zlib::Deflate.deflate(
        JSON.generate({"rows" => [gone, come], "generated_with" => generated_with}),
        Zlib::BEST_SPEED
      )

    # The change that takes this one back.
    def reversed = self.class.new(come, gone, generated_with.reverse)

    def put(index)
      index.exchange(gone, come)
      index.update!(generated_with: generated_with.last)
    end
  end
end
