# frozen_string_literal: true

module TileLoom
  module Symbology
    # The name of a feature beside or inside it: which attribute, in what type. Sizes are for paper.
    class Label < Values::Value
      define
      part :attribute, text(least: 1, most: 200), required: true
      part :condition,
        Data::ConditionType.new(of_sheet: true),
        key: "when",
        about: "Which features have one, in OGC CQL2 JSON; without it all."
      part :face_key, Values::Types::FACE, key: "face", default: "sans"
      part :size_pt, Values::Types::SIZE_PT, default: 7
      part :colour, Values::Types::COLOUR, default: "#1f2a30"
      part :halo, LabelHalo.new, default: "#fffdf6"

      def face = (assets || Assets.shipped).faces.face(face_key)

      # With sizes that many times as large.
      def scaled(factor) = reckoned(size_pt: size_pt * factor, halo: halo.scaled(factor))
    end
  end
end
