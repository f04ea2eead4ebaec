# frozen_string_literal: true

module TileLoom
  module Labelling
    # A Candidate that is made where it is asked for; cost: what it will cost.
    class DeferredCandidate
      attr_reader :cost

      def initialize(cost, &make)
        @cost, @make = cost, make
      end

      def place = @place ||= @make.call

      # The same for so much more.
      def dearer(more) = self.class.new(cost + more) { place.dearer(more) }
    end
  end
end
