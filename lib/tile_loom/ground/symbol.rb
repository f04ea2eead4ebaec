# frozen_string_literal: true

module TileLoom
  module Ground
    # How a feature is drawn, all sizes for paper: strokes (drawn in order, so a wide one below a narrow
    # one is a casing), an area fill, a point marker.
    class Symbol
      attr_reader :strokes, :fill, :marker

      def initialize(settings)
        @strokes = (settings["strokes"] || []).map { |stroke| self.class.stroke(stroke) }
        @fill = settings["fill"] && Scene::Fill.new(**settings["fill"].slice("colour", "opacity").transform_keys(&:to_sym))
        @marker = settings["marker"] && Marker.new(settings["marker"])
      end

      def self.stroke(settings)
        Scene::Stroke.new(**settings.slice("colour", "width_mm", "dash_mm", "cap", "join", "opacity").transform_keys(&:to_sym))
      end

      # How far paint reaches beyond the geometry, in mm.
      def reach_mm = [*strokes.map(&:width_mm), marker&.size_mm.to_f, 0.0].max
    end
  end
end
