# frozen_string_literal: true

module TileLoom
  module Furniture
    # How match lines look in a map frame.
    class MatchLines < Values::Value
      LINE = {"colour" => "#8c2f39", "width_mm" => 0.3, "dash_mm" => [4.0, 1.2, 0.8, 1.2]}.freeze

      define
      part :stroke, Scene::Stroke::TYPE, default: {}, under: LINE
      part :face, Values::Types::FACE, default: "sans-semibold"
      part :size_pt, Values::Types::SIZE_PT, default: 7
    end
  end
end
