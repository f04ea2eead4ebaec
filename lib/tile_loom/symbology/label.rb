# frozen_string_literal: true

module TileLoom
  module Symbology
    # The name of a feature beside or inside it: which attribute, in what type. Sizes are for paper.
    class Label
      attr_reader :attribute, :face, :size_pt, :colour, :halo

      # factor: by which sizes grow or shrink; faces: a Type::FaceSet.
      def initialize(settings, factor: 1.0, faces: Type::Library)
        @attribute = settings["attribute"]
        @face = faces.face(settings.fetch("face", "sans"))
        @size_pt = settings.fetch("size_pt", 7) * factor.to_f
        @colour = settings.fetch("colour", "#1f2a30")
        @halo = Scene::Stroke.new(colour: settings.fetch("halo", "#fffdf6"), width_mm: 0.5 * factor, opacity: 0.85)
      end
    end
  end
end
