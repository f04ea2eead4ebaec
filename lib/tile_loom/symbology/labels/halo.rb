# frozen_string_literal: true

module TileLoom
  module Symbology
    module Labels
      # The rim under a label, so that it can be read over the map.
      class Halo < Values::Value
        define "label_halo", about: "The rim under a label, so that it can be read over the map."
        part :colour, Values::Types::COLOUR, default: "#fffdf6"
        part :width_mm, number(0..20), default: 0.5, about: "0 for none."
        part :opacity, Values::Types::OPACITY, default: 0.85

        # The Scene::Stroke that is drawn, or nil.
        def stroke = width_mm.positive? ? Scene::Stroke.new(colour: colour, width_mm: width_mm, opacity: opacity) : nil

        def scaled(factor) = reckoned(width_mm: width_mm * factor)
      end
    end
  end
end
