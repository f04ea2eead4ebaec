# frozen_string_literal: true

module TileLoom
  module Symbology
    # A look of the maps under a name: the layers that are shown, each as opaque as it is then; the others are not.
    class MapLook < Values::Value
      define "map_look", about: "Layers that the maps show together, under a name."
      shown = {
        id: Values::Part.new(:id, Values::Types::ID, required: true),
        opacity: Values::Part.new(:opacity, Values::Types::OPACITY)
      }
      part :title, text(least: 1, most: 60), required: true
      part :layers, list(Values::Record.new(nil, shown) { |**found| found }, most: 500), required: true
    end
  end
end
