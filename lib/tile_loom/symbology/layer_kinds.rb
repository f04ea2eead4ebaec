# frozen_string_literal: true

module TileLoom
  module Symbology
    # The kinds of layers, each a file in layer_kinds/.
    module LayerKinds
      extend Values::Kinds

      # The kind of some features by their shapes: that of all, or the mixed one.
      def self.of_features(features) = of_kinds(features.map { |feature| of_type(feature.wkb.getbyte(1)) })

      # One for all of several kinds.
      def self.of_kinds(kinds) = kinds.uniq.one? ? kinds.first : Mixed

      def self.of_type(number) = all.values.find { |kind| kind.types.include?(number) } || Mixed
      private_class_method :of_type
    end
  end
end
