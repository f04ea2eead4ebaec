# frozen_string_literal: true

module TileLoom
  module Scene
    # colour "#rrggbb", width_mm, dash_mm ([on, off, …] or nil), cap and join as PDF and SVG name them
    # (butt, round, square; miter, round, bevel), opacity 0…1.
    Stroke =
      Struct.new(:colour, :width_mm, :dash_mm, :cap, :join, :opacity, keyword_init: true) do
        def initialize(colour: "#1f2a30", width_mm: 0.2, dash_mm: nil, cap: "butt", join: "round", opacity: 1.0) = super

        # A light rim under text; settings: "halo" of a book document.
        def self.halo(settings) =
          new(colour: settings.fetch("colour", "#ffffff"), width_mm: settings.fetch("width_mm", 0.6).to_f)
      end
  end
end
