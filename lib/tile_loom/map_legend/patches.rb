# frozen_string_literal: true

module TileLoom
  module MapLegend
    # The kinds of patches, each a file in patches/.
    module Patches
      extend Values::Kinds

      # Keys of those for a shape.
      def self.keys_for(shape) = all.select { |_, kind| kind.shape == shape }.keys
    end
  end
end
