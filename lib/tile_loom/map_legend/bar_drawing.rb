# frozen_string_literal: true

module TileLoom
  module MapLegend
    # A ramp of colours drawn out: a bar, level (low on the left) or upright (low at the foot), with a tick and a label
    # where each value lies on it.
    class BarDrawing
      # Colours side by side that stand for a ramp without steps.
      STRIPS, FINEST_MM = 48, 0.25
      TICK_MM, TICK_WIDTH_MM = 1.0, 0.15

      # Its colours along a box, low on the left or (upright) at the foot. Strips reach under one another, so that no
      # line shows between them.
      def self.strips(bar, box, upright: false, strips: STRIPS)
        count =
          (
            if bar.stepped
              bar.colours.length
            else
              [strips, ((upright ? box.height : box.width) / FINEST_MM).round].max
            end
          )
        share = 1.0 / count
        (0...count).map do |index|
          from, to = index * share, bar.stepped ? (index + 1) * share : 1.0
          Scene::Path.new(
            runs: [part(box, from, to, upright).corners],
            closed: true,
            fill: Scene::Fill.new(colour: format("#%02x%02x%02x", *bar.at((index + 0.5) / count).map(&:round)))
          )
        end
      end

      def self.part(box, from, to, upright)
        if upright
          Geometry::Box.new(box.min_x, box.max_y - to * box.height, box.max_x, box.max_y - from * box.height)
        else
          Geometry::Box.new(box.min_x + from * box.width, box.min_y, box.min_x + to * box.width, box.max_y)
        end
      end
      private_class_method :part

      # bar: Bar; entry: Symbology::LegendEntry of a ramp; title: above it, or nil.
      def initialize(bar, entry, title:, manner:, width:)
        @bar, @entry, @title, @manner, @width = bar, entry, title, manner, width
      end

      def block
        head = @title ? @manner.paragraph(@title, @width, @manner.note) : nil
        top = head ? head.height_mm + 0.5 : 0.0
        Block.new(
          height_mm: top + (upright? ? upright_height : level_height),
          natural_mm: [head&.natural_mm.to_f, upright? ? upright_width : level_width].max,
          notices: notices,
          drawn: ->(x, y) { [*head&.nodes(x, y), *(upright? ? upright(x, y + top) : level(x, y + top))] }
        )
      end

      # [value, share of the bar's length from its low end].
      def places
        low, high = @entry.range
        @places ||=
          values.filter_map do |value|
            share = (high > low) ? (value - low) / (high - low).to_f : 0.0
            [value, share] if share.between?(-1e-9, 1 + 1e-9)
          end
      end

      private

      def upright? = @bar.direction == "upright"

      def values = @bar.labels.empty? ? @entry.range : @bar.labels

      def notices
        off = values - places.map(&:first)
        [(beyond(off) if off.any?), (CROWDED if crowded?)].compact
      end

      CROWDED = "The labels of a ramp in the legend run into one another; label fewer values, or make the bar longer."

      def beyond(off)
        ends = @entry.range.map { |value| Units::Number.grouped(value, decimals: 2) }.join(" to ")
        "The ramp of the legend goes from #{ends}; not labelled: #{off.map { |value| words(value) }.join(", ")}."
      end

      def crowded?
        places
          .sort_by(&:last)
          .each_cons(2)
          .any? do |(low, from), (high, to)|
            needed = upright? ? line_mm * 0.8 : (width(words(low)) + width(words(high))) / 2
            (to - from) * length < needed
          end
      end

      def words(value)
        unit = @bar.unit || @entry.unit
        [@manner.language.number(value, decimals: @bar.decimals), unit].compact.join(" ")
      end

      def length = @bar.length_mm * @manner.factor

      def thickness = @bar.thickness_mm * @manner.factor

      # Labels reach beyond the ends of a level bar by half their width.
      def overhang = @overhang ||= places.map { |value, _| width(words(value)) / 2 }.max.to_f

      def level_width = length + 2 * overhang

      def upright_width = thickness + TICK_MM + 0.7 + places.map { |value, _| width(words(value)) }.max.to_f

      def line_mm = @manner.entry.pitch_mm

      def level_height = thickness + TICK_MM + line_mm

      # Labels of the ends stand half above and half below them.
      def upright_height = length + line_mm

      def width(text) = @manner.entry.width_mm(text)

      def level(x, y)
        box = Geometry::Box.at(x + overhang, y, length, thickness)
        ticks = places.map { |_, share| box.min_x + share * length }
        [
          *self.class.strips(@entry.bar, box),
          ruled(ticks.map { |place| [place, box.max_y, place, box.max_y + TICK_MM] }),
          *places.zip(ticks).flat_map { |(value, _), place| label(words(value), place, y + thickness + TICK_MM) }
        ]
      end

      def upright(x, y)
        box = Geometry::Box.at(x, y + line_mm / 2, thickness, length)
        ticks = places.map { |_, share| box.max_y - share * length }
        [
          *self.class.strips(@entry.bar, box, upright: true),
          ruled(ticks.map { |place| [box.max_x, place, box.max_x + TICK_MM, place] }),
          *places
            .zip(ticks)
            .flat_map do |(value, _), place|
              room = Geometry::Box.at(box.max_x + TICK_MM + 0.7, place - line_mm / 2, @width, line_mm)
              @manner.entry.set(words(value), room)
            end
        ]
      end

      def ruled(runs) =
        Scene::Path.new(
          runs: runs,
          closed: false,
          stroke: Scene::Stroke.new(colour: @manner.colour, width_mm: TICK_WIDTH_MM)
        )

      # About a place on the page, below a height.
      def label(text, place, top)
        half = width(text) / 2 + 0.01
        @manner.entry.set(text, Geometry::Box.new(place - half + 0.01, top, place + half + 0.01, top + line_mm))
      end
    end
  end
end
