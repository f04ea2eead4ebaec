# frozen_string_literal: true

module TileLoom
  module Symbology
    # How a feature is drawn, all sizes for paper: an area fill, a pattern over it, strokes (drawn in
    # order, so a wide one below a narrow one is a casing), a point marker.
    class Symbol
      attr_reader :strokes, :fill, :pattern, :marker

      # drawings: a MarkerSet; factor: by which all sizes grow or shrink.
      def initialize(settings, drawings: MarkerSet.new, factor: 1.0, path: nil)
        @strokes = (settings["strokes"] || []).map { |stroke| self.class.stroke(stroke, factor) }
        @fill =
          settings["fill"] && Scene::Fill.new(**settings["fill"].slice("colour", "opacity").transform_keys(&:to_sym))
        @pattern = settings["pattern"] && Pattern.new(settings["pattern"], factor: factor)
        @marker =
          settings["marker"] &&
          Marker.new(settings["marker"], drawings: drawings, factor: factor, path: path && "#{path}/marker")
      end

      def self.stroke(settings, factor = 1.0)
        stroke =
          Scene::Stroke.new(
            **settings.slice("colour", "width_mm", "dash_mm", "cap", "join", "opacity").transform_keys(&:to_sym)
          )
        return stroke if (factor - 1).abs < 1e-12
        stroke.width_mm *= factor
        stroke.dash_mm = stroke.dash_mm&.map { |length| length * factor }
        stroke
      end

      def area? = !fill.nil? || !pattern.nil?

      # How far paint reaches beyond the geometry, in mm.
      def reach_mm = [*strokes.map(&:width_mm), marker&.size_mm.to_f, 0.0].max

      # Scene nodes for what was gathered: points as flat [x, y, …], lines and rings as runs, in page mm.
      def nodes(points: [], lines: [], rings: [])
        found = []
        found << Scene::Path.new(runs: rings, closed: true, fill: fill) if fill && rings.any?
        found << pattern.node(rings) if pattern && rings.any?
        strokes.each do |stroke|
          found << Scene::Path.new(runs: rings, closed: true, stroke: stroke) if rings.any?
          found << Scene::Path.new(runs: lines, closed: false, stroke: stroke) if lines.any?
        end
        found.concat(marker.nodes(points)) if marker && points.any?
        found.compact
      end
    end
  end
end
