# frozen_string_literal: true

module TileLoom
  module Type
    # The sizes that a text is tried in where it may be made smaller to fit.
    module Shrinking
      STEP_PT, MOST = 0.25, 60

      module_function

      # From the wanted size down to the least, in quarters of a point, or in so many equal steps where these would be
      # more. least: in points, or nil where it may not be smaller.
      def sizes(wanted, least)
        least = [least || wanted, wanted].min
        step = [STEP_PT, (wanted - least) / MOST.to_f].max
        [wanted, *(1..((wanted - least) / step - 1e-9).ceil).map { |count| [wanted - count * step, least].max }]
      end

      # The first of falling sizes of which the block says that all has room, by halving, as smaller ones take less; nil
      # where none has.
      def first(sizes, &fits)
        return sizes.first if yield sizes.first
        sizes.drop(1).bsearch(&fits)
      end
    end
  end
end
