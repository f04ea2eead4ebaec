# frozen_string_literal: true

module TileLoom
  module View
    module Labelled
      # A feature that is to have the label of a rule, or several along its line. A kind of geometry is a file beside
      # this one that answers `wanted` with Labelling::Wanted.
      class Subject
        # What an abbreviation costs, and what a lost label that stands by hand.
        SHORT, BY_HAND = 200, 1_000_000
        # Areas and lines are looked at as coarsely as this.
        COARSE_MM = 0.2

        # scope: Scope of the layer in the view; feature: Data::Feature; lines: of its text; wkb: its geometry, or that
        # of all that belong together.
        def initialize(scope, feature, rule, lines, wkb)
          @scope, @feature, @rule, @lines, @wkb = scope, feature, rule, lines, wkb
        end

        private

        attr_reader :scope, :feature, :rule, :lines

        def view = scope.view

        # What was done to it by hand, or nil.
        def hand(number = 0) = scope.hand(rule, feature, lines, number)

        def text = @text ||= scope.text(rule, lines)

        # The abbreviated text, where it differs.
        def short_text
          return @short_text if defined?(@short_text)
          short = rule.abbreviated? ? rule.lines_of(feature.attributes, short: true) : []
          @short_text = (short.empty? || short == lines) ? nil : scope.text(rule, short)
        end

        # Dearer, as they are of the abbreviated text.
        def short_places
          return [] unless short_text
          yield(short_text).map { |place| Labelling::Place.new(place.cost + SHORT, place.setting, place.leader) }
        end

        # The Wanted; nil where it is hidden by hand. A block gives its further places; of one that was put somewhere by
        # hand for all sheets, where one of them has no room for it there.
        def label(x, y, shown, places, number: 0, group: nil, lost: nil, hand: nil, &more)
          return nil if hand&.hidden?
          Labelling::Wanted.new(
            layer: scope.layer,
            rule: rule,
            feature: feature,
            string: (hand&.text || lines.join(" ")).tr("\n", " "),
            x: x,
            y: y,
            lost: hand&.placed? ? BY_HAND : lost || scope.worth(rule),
            shown: shown,
            group: hand&.placed? ? nil : group,
            places: places,
            more: (hand&.placed? && hand.sheet) ? nil : more,
            number: number,
            hand: hand
          )
        end

        # The text that stands by hand, or its own.
        def text_of(hand) = hand&.text ? scope.text(rule, hand.text.split("\n").map(&:strip).reject(&:empty?)) : text

        # A level or straight text with its middle at a place of the page; half_x, half_y: of what a leader line starts
        # from, where it is far from (x, y).
        def set_by_hand(text, middle_x, middle_y, degrees, from: nil)
          angle = degrees.to_f * Math::PI / 180
          left, up = -text.width / 2, (text.cap - text.depth) / 2
          cos, sin = Math.cos(angle), Math.sin(angle)
          setting =
            Labelling::LevelSetting.new(
              text,
              middle_x + left * cos - up * sin,
              middle_y + left * sin + up * cos,
              angle: angle
            )
          Labelling::Place.new(0, setting, from && leader(setting, *from))
        end

        # From a symbol to the nearest place of a text that stands away from it; nil where it is near.
        def leader(setting, x, y, half)
          ring = setting.patches(0.0).map { |patch| Geometry::Geos.polygon(Labelling::Patch.corners(patch)) }
          all = Geometry::Geos.union(ring)
          point = Geometry::Geos.read(Geometry::Wkb.point(x, y))
          return nil if all.distance(point) < half + FAR_MM
          to = all.nearest_points(point).then { |points| [points.get_x(0), points.get_y(0)] }
          size = Math.hypot(to[0] - x, to[1] - y)
          start = [x + (to[0] - x) * half / size, y + (to[1] - y) * half / size]
          [*start, *to]
        end

        # A text so far from its symbol has a leader line.
        FAR_MM = 2.0
      end
    end
  end
end
