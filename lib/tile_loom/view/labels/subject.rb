# frozen_string_literal: true

module TileLoom
  module View
    module Labels
      # A feature that is to have the label of a rule, or several along its line. A kind of geometry is a file beside
      # this one that answers `wanted` with Labelling::LabelRequest.
      class Subject
        # What an abbreviation costs, and what an unplaced label that stands by hand.
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
          short = rule.abbreviated? ? rule.lines_of(feature.attributes, scope.drawing.language, short: true) : []
          @short_text = (short.empty? || short == lines) ? nil : scope.text(rule, short)
        end

        # Dearer, as they are of the abbreviated text.
        def short_places
          return [] unless short_text
          yield(short_text).map { |place| place.dearer(SHORT) }
        end

        # The LabelRequest; nil where it is hidden by hand. others, more: see there; of one that was put somewhere by
        # hand for all sheets more is for where one of them has no room for it there.
        def label(x, y, shown, places, number: 0, group: nil, unplaced_cost: nil, hand: nil, others: nil, more: nil)
          return nil if hand&.hidden?
          Labelling::LabelRequest.new(
            layer: scope.layer,
            rule: rule,
            feature: feature,
            string: (hand&.text || lines.join(" ")).tr("\n", " "),
            x: x,
            y: y,
            unplaced_cost: hand&.placed? ? BY_HAND : unplaced_cost || scope.worth(rule),
            shown: shown,
            group: hand&.placed? ? nil : group,
            places: places,
            others: others,
            more: (hand&.placed? && hand.sheet) ? nil : more,
            number: number,
            hand: hand
          )
        end

        # The text that stands by hand, or its own.
        def text_of(hand)
          lines = hand&.text ? rule.class.lines(hand.text) : []
          lines.empty? ? text : scope.text(rule, lines)
        end

        # A level or straight text with its middle at a place of the page; from: [x, y, half] of the symbol that a
        # leader line starts from where it is far.
        def set_by_hand(text, x, y, degrees, from: nil)
          setting = Labelling::LevelSetting.about(text, x, y, degrees.to_f)
          Labelling::Candidate.new(0, setting, from && leader(setting, *from))
        end

        # From a symbol to the nearest place of a text that stands away from it; nil where it is near.
        def leader(setting, x, y, half)
          to = setting.nearest(x, y, far: half + FAR_MM) or return nil
          size = Math.hypot(to[0] - x, to[1] - y)
          [x + (to[0] - x) * half / size, y + (to[1] - y) * half / size, *to]
        end

        # A text so far from its symbol has a leader line.
        FAR_MM = 2.0
      end
    end
  end
end
