# frozen_string_literal: true

module TileLoom
  module Output
    # Whole numbers of paths in pairs, each pair with what follows it. Many are written by one pattern, which takes half
    # the time of one after the other.
    module Pairs
      # Numbers that one pattern writes.
      AT_ONCE = 128
      FORMS =
        Hash.new { |forms, (count, ending)| forms[[count, ending].freeze] = ("%d %d#{ending}" * (count / 2)).freeze }
      private_constant :AT_ONCE, :FORMS

      module_function

      # numbers: flat pairs; ending: of each of them, without "%".
      def written(numbers, ending)
        return format(FORMS[[numbers.length, ending]], *numbers) if numbers.length <= AT_ONCE
        numbers.each_slice(AT_ONCE).map { |some| format(FORMS[[some.length, ending]], *some) }.join
      end
    end
  end
end
