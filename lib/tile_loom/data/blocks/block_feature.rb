# frozen_string_literal: true

module TileLoom
  module Data
    # A feature of a Block, read out of it as it is asked for.
    class BlockFeature < Feature
      # place: in the block.
      def initialize(block, place, id, thinned)
        @block, @place, @id, @thinned = block, place, id, thinned
      end

      def wkb = @wkb ||= @block.shape(@place)

      def sides = @block.sides(@place)

      def attributes = @attributes ||= @block.attributes(@place)
    end
  end
end
