# frozen_string_literal: true

module TileLoom
  module Bar
    # How a scale bar looks and what it counts: what of it is style and travels from bar to bar, without its place and
    # without where it is measured.
    class Style < Values::Value
      define "scaleBarStyle"
      part :style, Styles.choice, default: "chequered"
      take Styles.own_parts
      part :units,
        Unit.choice,
        default: "metric",
        about: "A family changes to its larger unit where the bar is at least one of it long."
      part :second_units, Unit.choice, about: "A second bar below, from the same zero."
      part :pace_m, number(above: 0, most: 3, exact: true), default: 0.75, about: "Length of a pace (common practice)."
      part :walk_kmh,
        number(above: 0, most: 30, exact: true),
        default: 4,
        about: "Kilometres an hour, for minutes of walking (common practice)."
      part :divisions, whole(1..20), about: "To the right of zero; as many as are round where none are given."
      part :division_length,
        text(most: 40),
        about: "A fixed length with its unit, such as 100 m; else the longest round one that fits."
      part :extension, whole(0..20), default: 0, about: "Subdivisions to the left of zero."
      part :minimum_mm, number(0..2000), about: "Shorter than this it is refused; 5 mm where nothing is said."
      part :maximum_mm, number(above: 0, most: 2000)
      part :height_mm, number(above: 0, most: 50), default: 1.6
      part :tick_mm, number(above: 0, most: 50), default: 1.6
      part :bars_gap_mm, number(0..50), default: 0.8, about: "Between the bars of two units."
      part :labelled,
        choice(all: "every mark", alternate: "every second", ends: "the ends", none: "none"),
        default: "all"
      part :labels_at, choice(above: "above", below: "below"), default: "above"
      part :label_gap_mm, number(0..50), default: 0.8
      part :decimals, whole(0..6), about: "As many as the values need where none are given."
      part :thousands,
        choice(language: "as the book's language", comma: "1,000", thin: "1 000", point: "1.000", none: "1000"),
        default: "language"
      part :unit_at, choice(last: "after the last", middle: "in the middle", none: "nowhere"), default: "last"
      part :unit_text, text(most: 40), about: "The unit's own symbol where nothing is given."
      part :fraction,
        choice(none: "none", above: "above", below: "below"),
        default: "none",
        about: "The representative fraction."
      part :verbal,
        choice(none: "none", above: "above", below: "below"),
        default: "none",
        about: "The scale in a sentence."
      part :verbal_units, choice(metric: "cm and m", imperial: "inches and feet"), default: "metric"
      part :align, choice(left: "left", centre: "centred", right: "right"), default: "left"
      part :light, Values::Types::COLOUR, default: "#ffffff"
      part :stroke_mm, number(above: 0, most: 5), default: 0.15
      part :halo, Scene::Halo::TYPE
      part :backing, Scene::Fill::TYPE
      part :face, Values::Types::FACE, default: "sans"
      part :size_pt, Values::Types::SIZE_PT, default: 7
      part :colour, Values::Types::COLOUR, default: "#1f2a30"

      # Keys of the document that are style.
      def self.keys = parts.each_value.map(&:key)

      # The units of the bar, or of its second one; the larger one first.
      def family(name) = Unit.family(name, pace_m: pace_m, walk_kmh: walk_kmh)

      # How many divisions a fixed length has where none are given.
      DIVISIONS = 4

      # A fixed length of a division: a Units::Length, or nil. Refusal for one that is none.
      def fixed_division
        return nil unless division_length
        length = Units::Length.parse(division_length)
        return length if length.value.positive?
        raise Refusal.new("bar.division_length", division_length: division_length)
      end
    end
  end
end
