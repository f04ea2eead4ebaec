# frozen_string_literal: true

module TileLoom
  module Symbology
    # The kinds of layers, each a file in layer_kinds/.
    module LayerKinds
      extend Values::Kinds

      # The kind of features by the types of their well-known binary: that of all, or the mixed one.
      def self.of_types(types)
        kinds = types.map { |type| of_type(type) }.uniq
        kinds.one? ? kinds.first : Mixed
      end

      def self.of_type(number) = all.values.find { |kind| kind.types.include?(number) } || Mixed
      private_class_method :of_type
    end
  end
end
