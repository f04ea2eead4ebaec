# frozen_string_literal: true

module TileLoom
  module Scene
    # What all parts of a drawing have in common: once made, they stay as they are.
    module Node
      def initialize(...)
        super
        freeze
      end

      # The same with other members.
      def with(**members) = self.class.new(**to_h, **members)
    end
  end
end
