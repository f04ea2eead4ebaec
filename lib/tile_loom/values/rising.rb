# frozen_string_literal: true

module TileLoom
  module Values
    # A longest rising subsequence: the most of a list that stands in order as it is. C. Schensted, Longest increasing
    # and decreasing subsequences, Canadian Journal of Mathematics 13 (1961), by patience sorting.
    module Rising
      module_function

      # ranks: numbers, each once, or nil for what has no rank. Its indexes, as keys of a Hash.
      def of(ranks)
        ends, before = [], []
        ranks.each_with_index do |rank, index|
          next unless rank
          pile = ends.bsearch_index { |other| ranks[other] >= rank } || ends.length
          before[index] = pile.zero? ? nil : ends[pile - 1]
          ends[pile] = index
        end
        found = {}
        at = ends.last
        while at
          found[at] = true
          at = before[at]
        end
        found
      end
    end
  end
end
