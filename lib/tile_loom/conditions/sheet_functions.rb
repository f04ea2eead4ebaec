# frozen_string_literal: true

module TileLoom
  module Conditions
    # Functions of our own that a condition in CQL2 (OGC 21-065r2, 7.8: which functions there are is left to who reads
    # it) can ask of a feature beside the one that the sheet is of. docs/book-format.md has them for those who write
    # books.
    module SheetFunctions
      # arity: of its arguments; answer: of an OnSheet::Seen and the argument.
      Function = Struct.new(:arity, :answer)

      ALL = {
        "isSheetFeature" => Function.new(0..0, ->(seen, _) { seen.own? }),
        "touchesSheetFeature" => Function.new(0..0, ->(seen, _) { seen.touching? }),
        "withinSheetFeature" => Function.new(1..1, ->(seen, metres) { seen.within?(metres) })
      }.freeze

      # Ground distances that can be asked for.
      DISTANCES_M = 0..1_000_000

      module_function

      # The code of a refusal, or nil.
      def trouble(node)
        return nil if node["op"] != "withinSheetFeature"
        metres = node["args"].first
        (metres.is_a?(Numeric) && DISTANCES_M.cover?(metres)) ? nil : "condition.sheet_feature_distance"
      end

      # seen: OnSheet::Seen.
      def value(node, seen) = ALL.fetch(node["op"]).answer.call(seen, node["args"].first)
    end
  end
end
