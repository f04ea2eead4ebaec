# frozen_string_literal: true

module TileLoom
  module Symbology
    # The colour of the rim under the names of features; read as the Scene::Stroke that is drawn.
    class LabelHalo < Values::Type
      WIDTH_MM, OPACITY = 0.5, 0.85

      def schema(definitions) = Values::Types::COLOUR.schema(definitions)

      def read(json, **) = Scene::Stroke.new(colour: json, width_mm: WIDTH_MM, opacity: OPACITY)

      def write(value) = value.colour
    end
  end
end
