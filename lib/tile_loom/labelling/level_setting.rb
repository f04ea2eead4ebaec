# frozen_string_literal: true

module TileLoom
  module Labelling
    # A label in straight lines: its first baseline starts at (x, y), all of it turned clockwise about there.
    class LevelSetting
      attr_reader :text, :x, :y, :angle, :tracking_pt

      # align: :left, :right or :centre of its lines; angle: radians clockwise; tracking_pt: beside that of the rule.
      def initialize(text, x, y, align: :centre, angle: 0.0, tracking_pt: 0.0)
        @text, @x, @y, @align, @angle, @tracking_pt = text, x, y, align, angle, tracking_pt
      end

      # One whose middle is at a place; degrees: clockwise.
      def self.about(text, x, y, degrees)
        angle = degrees * Math::PI / 180
        left, up = -text.width / 2, (text.cap - text.depth) / 2
        cos, sin = Math.cos(angle), Math.sin(angle)
        new(text, x + left * cos - up * sin, y + left * sin + up * cos, angle: angle)
      end

      # So much wider by spacing of its own.
      def self.widened(text, tracking_pt) =
        text.width + tracking_pt * Type::Face::MM_PER_PT * [text.lines.first.string.length - 1, 0].max

      # What it takes; grow: mm of room round it.
      def footprints(grow)
        return [plain(grow)] if text.plain? && angle.zero? && tracking_pt.zero?
        return backed(grow) if text.backed?
        text.lines.each_with_index.map do |line, index|
          left = text.indent(line, @align)
          down = index * text.advance
          right = left + line.width + widening(line)
          Footprint.along(x, y, angle, left - grow, right + grow, down + line.top - grow, down + line.bottom + grow)
        end
      end

      # Scene nodes.
      def nodes(halo: text.rule.halo.stroke)
        rule = text.rule
        degrees = angle * 180 / Math::PI
        cos, sin = Math.cos(angle), Math.sin(angle)
        texts =
          text.lines.each_with_index.map do |line, index|
            left, down = text.indent(line, @align), index * text.advance
            Scene::Text.new(
              x: x + left * cos - down * sin,
              y: y + left * sin + down * cos,
              string: line.string,
              face: rule.face,
              size_pt: rule.size_pt,
              colour: rule.colour,
              rotation_deg: degrees,
              halo: halo,
              tracking_pt: rule.letter_spacing_pt + tracking_pt,
              word_pt: rule.word_spacing_pt
            )
          end
        rule.backing ? rule.backing.nodes(ring) + texts : texts
      end

      # The place of the text, with mm of room round it, that is nearest to another of the page; nil where that is no
      # further from it than `far`.
      def nearest(x, y, grow: 0.0, far: 0.0)
        area =
          Geometry::Geos.union(
            footprints(grow).map { |footprint| Geometry::Geos.polygon(Footprint.corners(footprint)) }
          )
        point = Geometry::Geos.read(Geometry::Wkb.point(x, y))
        return nil unless area.distance(point) > far
        area.nearest_points(point).then { |points| [points.get_x(0), points.get_y(0)] }
      end

      # The Geometry::Box of the text before it is turned.
      def box = Geometry::Box.new(x, y - text.cap, x + text.width + widening(text.lines.first), y + text.depth)

      private

      # Of one level line.
      def plain(grow)
        line = text.lines.first
        [x - grow, y + line.top - grow, x + line.width + grow, y + line.bottom + grow]
      end

      def widening(line) =
        tracking_pt.zero? ? 0.0 : tracking_pt * Type::Face::MM_PER_PT * [line.string.length - 1, 0].max

      def ring
        ring = text.rule.backing.ring(box)
        angle.zero? ? ring : Geometry::Affine.turn(angle * 180 / Math::PI, x, y).map(ring)
      end

      def backed(grow)
        ring = ring()
        box = Geometry::Box.around(ring)
        return [Footprint.of(box.grow(grow))] if angle.zero?
        [Footprint.ring(ring)]
      end
    end
  end
end
