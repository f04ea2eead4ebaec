# frozen_string_literal: true

module TileLoom
  module Symbology
    # A pattern that an area is filled with, as families of parallel lines on the page, dashed or
    # dotted, cut to the area: lines that a printer draws, no picture. The families start at the page's
    # corner, so that neighbours carry on.
    class Pattern
      # A family of lines: turned_deg on top of the pattern's own angle; dash: in spacings, or nil; round:
      # dots; shift: of every second line along itself, in spacings.
      Family = Struct.new(:turned_deg, :dash, :round, :shift, keyword_init: true)

      MOST_LINES = 20_000

      # Adding a kind is adding a line here.
      KINDS = {
        "lines" => [Family.new(turned_deg: 0)],
        "crossed" => [Family.new(turned_deg: 0), Family.new(turned_deg: 90)],
        "dots" => [Family.new(turned_deg: 0, dash: [0, 1], round: true)],
        "staggered-dots" => [Family.new(turned_deg: 0, dash: [0, 1], round: true, shift: 0.5)],
        "dashes" => [Family.new(turned_deg: 0, dash: [0.6, 0.4], shift: 0.5)],
        "plus-signs" => [
          Family.new(turned_deg: 0, dash: [0.4, 0.6], shift: nil),
          Family.new(turned_deg: 90, dash: [0.4, 0.6], shift: nil)
        ]
      }.freeze

      def initialize(settings, factor: 1.0)
        @families = KINDS.fetch(settings["kind"])
        @spacing = settings.fetch("spacing_mm", 2.0) * factor.to_f
        @angle_deg = settings.fetch("angle_deg", 0.0)
        @stroke = {
          colour: settings.fetch("colour", "#1f2a30"),
          width_mm: settings.fetch("width_mm", 0.15) * factor.to_f,
          opacity: settings.fetch("opacity", 1.0)
        }
      end

      # A Scene::Group of the pattern inside these rings (page mm), or nil where the pattern is so fine
      # that it would be a flat colour: below a tenth of a millimetre it is left out.
      def node(rings)
        return nil if rings.empty? || @spacing < 0.1
        box = Geometry::Box.around(rings.flatten)
        paths = @families.map { |family| lines(family, box) }.reject { |path| path.runs.empty? }
        paths.empty? ? nil : Scene::Group.new(children: paths, clip: Scene::Outline.new(runs: rings))
      end

      private

      # The lines of a family over a box: at whole multiples of the spacing from the page's corner.
      def lines(family, box)
        angle = (@angle_deg + family.turned_deg) * Math::PI / 180
        cos, sin = Math.cos(angle), Math.sin(angle)
        corners = box.corners.each_slice(2).map { |x, y| [x * cos + y * sin, y * cos - x * sin] }
        along, across = corners.transpose.map(&:minmax)
        first, last = (across[0] / @spacing).ceil, (across[1] / @spacing).floor
        runs = (last - first > MOST_LINES) ? [] : (first..last).map { |row| line(family, row, along, cos, sin) }
        Scene::Path.new(runs: runs, closed: false, stroke: stroke(family))
      end

      # Dashes begin with each run, so a run begins at a whole multiple too.
      def line(family, row, along, cos, sin)
        from = family.dash ? ((along[0] / @spacing).floor - 1) * @spacing : along[0]
        # A plus sign's arms meet in the middle of their dashes.
        from -= family.dash[0] / 2.0 * @spacing if family.dash
        from += family.shift * @spacing if family.shift && row.odd?
        across = row * @spacing
        [
          from * cos - across * sin,
          from * sin + across * cos,
          along[1] * cos - across * sin,
          along[1] * sin + across * cos
        ]
      end

      def stroke(family)
        dash = family.dash&.map { |part| (part * @spacing).round(4) }
        Scene::Stroke.new(**@stroke, dash_mm: dash, cap: family.round ? "round" : "butt")
      end
    end
  end
end
