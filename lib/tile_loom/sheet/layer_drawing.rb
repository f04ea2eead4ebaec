# frozen_string_literal: true

module TileLoom
  module Sheet
    # One layer in one view: each feature goes to the first rule that it meets; what a rule gathers is
    # painted together, stroke by stroke, so that casings join at junctions.
    class LayerDrawing
      attr_reader :layer, :features, :view

      def initialize(layer:, features:, view:, tolerance_mm:)
        @layer, @features, @view = layer, features, view
        @tolerance = tolerance_mm * view.units_per_mm
        @window = view.ground.box.grow((layer.reach_mm + 1.0) * view.units_per_mm)
      end

      def group = Scene::Group.new(children: painted, layer: layer.scene_layer, name: layer.id)

      def shown_rules = layer.rules.select { |rule| gathered.key?(rule) }

      private

      Gathered = Struct.new(:points, :lines, :rings)

      # rule → its points, lines and rings in page mm.
      def gathered
        @gathered ||= features.each_with_object({}) do |feature, found|
          rule = layer.rules.find { |candidate| candidate.match?(feature.attributes) } or next
          collect(feature, found[rule] || Gathered.new([], [], []), rule, found)
        end
      end

      def collect(feature, into, rule, found)
        before = into.points.length + into.lines.length + into.rings.length
        Clipping.new(feature.wkb, @window, @tolerance).each_run do |kind, coordinates|
          page = view.to_page(coordinates)
          case kind
          when Geometry::Wkb::POINT then into.points << page
          when Geometry::Wkb::LINE then into.lines << page
          else into.rings << page
          end
        end
        found[rule] = into if into.points.length + into.lines.length + into.rings.length > before
      end

      def painted = layer.rules.flat_map { |rule| gathered.key?(rule) ? paint(rule.symbol, gathered[rule]) : [] }

      def paint(symbol, parts)
        nodes = []
        nodes << Scene::Path.new(runs: parts.rings, closed: true, fill: symbol.fill) if symbol.fill && parts.rings.any?
        symbol.strokes.each do |stroke|
          nodes << Scene::Path.new(runs: parts.rings, closed: true, stroke: stroke) if parts.rings.any?
          nodes << Scene::Path.new(runs: parts.lines, closed: false, stroke: stroke) if parts.lines.any?
        end
        if symbol.marker && parts.points.any?
          runs = parts.points.flat_map { |x, y| symbol.marker.at(x, y) }
          nodes << Scene::Path.new(runs: runs, closed: true, fill: symbol.marker.fill, stroke: symbol.marker.stroke)
        end
        nodes
      end
    end
  end
end
