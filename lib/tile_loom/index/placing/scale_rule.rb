# frozen_string_literal: true

module TileLoom
  module Index
    # At which scale a sheet shows a thing: held for all; fitted to the thing with a margin, rounded up to a
    # pleasant denominator; the first of a ladder that it fits; or read from an attribute.
    class ScaleRule < Values::Value
      # Steps of a pleasant denominator, times powers of ten (common practice).
      PLEASANT = [1, 1.25, 1.5, 2, 2.5, 3, 4, 5, 6, 7.5, 8, 10].map { |step| step.to_s.to_r }.freeze
      LADDER = [500, 1000, 1250, 2000, 2500, 5000, 10_000, 20_000, 25_000, 50_000, 100_000].freeze

      define
      part :kind,
        choice(fixed: "fixed", fit: "fit with margin", standard_scales: "standard scales", field: "from a field"),
        required: true,
        default: "fixed"
      part :margin,
        Overlap::TEXT,
        default: "10 %",
        about: "Free round the feature: a share of it (10 %), or on paper (8 mm)."
      part :standard_scales, list(Values::Types::SCALE, least: 1, most: 60), default: LADDER
      part :field, text(least: 1, most: 200)

      # The rule with the scale that it holds where it says nothing else.
      def holding(scale) = reckoned(held: scale)

      def held = @parts[:held]

      # The denominator for a thing. need: the least one at which it stands in the frame, by a frame of
      # [width, height] mm less a margin on each side (called with that frame).
      def scale(frame_mm, attributes, &need)
        case kind
        when "fit"
          pleasant(need.call(inside(frame_mm)))
        when "standard_scales"
          rung(need.call(inside(frame_mm)))
        when "field"
          self.class.denominator(field, attributes, path: "#{path}/field")
        else
          held
        end
      end

      # The next pleasant denominator, never a smaller one than asked for.
      def self.pleasant(scale)
        power = 10**Math.log10(scale).floor
        (PLEASANT.map { |step| step * power } + [10 * power])
          .find { |step| step >= scale * (1 - 1e-9) }
          .then { |found| Units::Number.tidy(found.to_f) }
      end

      # The denominator that a feature's field holds, as a number or as "1:2,500". path: JSON pointer of the setting
      # that names the field; Refusal carries it.
      def self.denominator(field, attributes, path:)
        given = attributes[field]
        Units::NumberText.denominator(given) or
          raise Refusal.new("index.scale_of_field", field: field, found: given.to_s[0, 40], at: path)
      end

      private

      def pleasant(scale) = self.class.pleasant(scale)

      # A margin of 10 % leaves 10 % of the thing's own size free on each side (common practice).
      def inside(frame_mm)
        match = Overlap::PATTERN.match(margin) or
          raise Refusal.new("index.margin_unreadable", margin: margin, at: "#{path}/margin")
        return frame_mm.map { |side| side / (1 + match[1].to_f / 50) } if match[2] == "%"
        unless Overlap::ON_PAPER.include?(match[2])
          raise Refusal.new("index.margin_unit", margin: margin, at: "#{path}/margin")
        end
        width = (Units::Length.new(match[1].to_r, match[2]).metres * 1000).to_f
        frame_mm.map { |side| [side - 2 * width, 1e-3].max }
      end

      def rung(need)
        ladder = standard_scales.sort
        ladder.find { |scale| scale >= need * (1 - 1e-9) } || ladder.last
      end
    end
  end
end
