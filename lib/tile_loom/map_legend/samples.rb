# frozen_string_literal: true

module TileLoom
  module MapLegend
    # The kinds of samples, each a file in samples/.
    module Samples
      extend Values::Kinds

      # Keys of those for a shape.
      def self.keys_for(shape) = all.select { |_, kind| kind.shape == shape }.keys
    end
  end
end
