# frozen_string_literal: true

module TileLoom
  module Symbology
    # A pattern that an area is filled with, as families of parallel lines on the page, dashed or
    # dotted, cut to the area: lines that a printer draws, no picture. The families start at the page's
    # corner, so that neighbours carry on.
    class Pattern < Values::Value
      # A family of lines: turned_deg on top of the pattern's own angle; dash: in spacings, or nil; round:
      # dots; shift: of every second line along itself, in spacings.
      Family = Struct.new(:turned_deg, :dash, :round, :shift, keyword_init: true)

      MOST_LINES = 20_000

      # A kind: its title, its families.
      Kind = Struct.new(:title, :families)

      # Adding a kind is adding an entry here.
      KINDS = {
        "lines" => Kind.new("lines", [Family.new(turned_deg: 0)]),
        "crossed" => Kind.new("crossed lines", [Family.new(turned_deg: 0), Family.new(turned_deg: 90)]),
        "dots" => Kind.new("dots", [Family.new(turned_deg: 0, dash: [0, 1], round: true)]),
        "staggered-dots" =>
          Kind.new("dots, staggered", [Family.new(turned_deg: 0, dash: [0, 1], round: true, shift: 0.5)]),
        "dashes" => Kind.new("dashes", [Family.new(turned_deg: 0, dash: [0.6, 0.4], shift: 0.5)]),
        "plus-signs" =>
          Kind.new(
            "plus signs",
            [
              Family.new(turned_deg: 0, dash: [0.4, 0.6], shift: nil),
              Family.new(turned_deg: 90, dash: [0.4, 0.6], shift: nil)
            ]
          )
      }.freeze

      define
      part :kind, choice(**KINDS.transform_values(&:title)), required: true
      part :colour, Values::Types::COLOUR, default: "#1f2a30"
      part :spacing_mm, number(0.2..200), default: 2
      part :width_mm, number(above: 0, most: 100), default: 0.15
      part :angle_deg, number(-360..360), default: 0
      part :opacity, Values::Types::OPACITY, default: 1

      # Finer than this on paper it would be a flat colour, and is left out.
      LEAST_MM = 0.1

      # A Scene::Group of the pattern inside these rings (page mm), or nil where it is too fine.
      def node(rings)
        return nil if rings.empty? || spacing_mm < LEAST_MM
        box = Geometry::Box.around(rings.flatten)
        paths = KINDS.fetch(kind).families.map { |family| lines(family, box) }.reject { |path| path.runs.empty? }
        paths.empty? ? nil : Scene::Group.new(children: paths, clip: Scene::Outline.new(runs: rings))
      end

      # With sizes that many times as large.
      def scaled(factor) = reckoned(spacing_mm: spacing_mm * factor, width_mm: width_mm * factor)

      private

      # The lines of a family over a box: at whole multiples of the spacing_mm from the page's corner.
      def lines(family, box)
        angle = (angle_deg + family.turned_deg) * Math::PI / 180
        cos, sin = Math.cos(angle), Math.sin(angle)
        corners = box.corners.each_slice(2).map { |x, y| [x * cos + y * sin, y * cos - x * sin] }
        along, across = corners.transpose.map(&:minmax)
        first, last = (across[0] / spacing_mm).ceil, (across[1] / spacing_mm).floor
        runs = (last - first > MOST_LINES) ? [] : (first..last).map { |row| line(family, row, along, cos, sin) }
        Scene::Path.new(runs: runs, closed: false, stroke: stroke(family))
      end

      # Dashes begin with each run, so a run begins at a whole multiple too.
      def line(family, row, along, cos, sin)
        from = family.dash ? ((along[0] / spacing_mm).floor - 1) * spacing_mm : along[0]
        # A plus sign's arms meet in the middle of their dashes.
        from -= family.dash[0] / 2.0 * spacing_mm if family.dash
        from += family.shift * spacing_mm if family.shift && row.odd?
        across = row * spacing_mm
        [
          from * cos - across * sin,
          from * sin + across * cos,
          along[1] * cos - across * sin,
          along[1] * sin + across * cos
        ]
      end

      def stroke(family)
        dash = family.dash&.map { |part| (part * spacing_mm).round(4) }
        Scene::Stroke.new(
          colour: colour,
          width_mm: width_mm,
          opacity: opacity,
          dash_mm: dash,
          cap: family.round ? "round" : "butt"
        )
      end
    end
  end
end
