# frozen_string_literal: true

module TileLoom
  module Symbology
    # How a feature is drawn, all sizes for paper: an area fill, a pattern over it, strokes (drawn in
    # order, so a wide one below a narrow one is a casing), a point marker.
    class MapSymbol < Values::Value
      define "symbol"
      part :strokes, list(Scene::Stroke::TYPE, most: 8), default: []
      part :fill, Scene::Fill::TYPE
      part :pattern, Pattern.type
      part :marker, Marker.type

      def area? = !fill.nil? || !pattern.nil?

      # What it is made for, as far as it tells: :area, :point or :line.
      def shape
        return :area if area?
        (marker && strokes.empty?) ? :point : :line
      end

      # How far paint reaches beyond the geometry, in mm.
      def reach_mm = [*strokes.map(&:width_mm), marker&.size_mm.to_f, 0.0].max

      # With sizes that many times as large.
      def scaled(factor) =
        reckoned(
          strokes: strokes.map { |stroke| stroke.scaled(factor) },
          pattern: pattern&.scaled(factor),
          marker: marker&.scaled(factor)
        )

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
