# frozen_string_literal: true

module TileLoom
  module Bar
    # A scale bar in its room: bars, labels, ratio and sentence, one over the other from the top.
    class Drawing
      LINE_PITCH = 1.35
      # Less than this in mm is no bar.
      LEAST_MM = 5.0

      # style: a Style; box: page mm; measure: Measure of the frame that it is bound to; per_mm: metres
      # that a millimetre stands for on all sheets of this scale, by which its length is chosen; scale: denominator;
      # verbal: gives the scale in words for units.
      def initialize(style:, box:, measure:, per_mm:, scale:, look:, verbal:, path: nil)
        @style, @box, @measure, @per_mm, @scale, @look, @verbal, @path =
          style,
          box,
          measure,
          per_mm,
          scale,
          look,
          verbal,
          path
      end

      # The Ruling of the first unit.
      def ruling = @ruling ||= kept_in(chosen(@style.units))

      # Has it another length than is meant for all sheets, since that does not stand in its box on this one?
      def shortened?
        ruling
        @shortened == true
      end

      # That of the second, or nil.
      def second = @style.second_units && @second ||= chosen(@style.second_units, most: paper(ruling))

      # mm of the whole first bar on this sheet's paper.
      def paper(ruling) = @measure.paper_mm(ruling.metres)

      def nodes
        @y = @box.min_y
        [*texts_of("above"), *above, *bars, *below, *texts_of("below")].then { |found| backing + found }
      end

      private

      # A bar that is longer on this sheet's paper than where its length was chosen for all gives way to a shorter one.
      def kept_in(found)
        return found if paper(found) + end_widths(found).sum <= @box.width + 1e-6
        @shortened, @per_mm = true, @measure.per_mm
        chosen(@style.units)
      end

      # The longest round length that fits with its labels.
      def chosen(family, most: nil)
        width = most || [@box.width, @style.maximum_mm || @box.width].min
        units = @style.family(family)
        found = Ruling.fitting(width * @per_mm, units, @style, free: !most.nil?).find { |ruling| fits?(ruling, width) }
        return found if found && ruled(found) >= least(most)
        raise narrow(units, width, free: !most.nil?)
      end

      def least(most) = most ? 0.0 : @style.minimum_mm || LEAST_MM

      # mm at the nominal scale.
      def ruled(ruling) = ruling.metres / @per_mm

      def fits?(ruling, width)
        first, last = end_widths(ruling)
        # A second bar ends where the first one does or before.
        return ruled(ruling) <= width + 1e-9 if width < @box.width - 1e-9 && @style.maximum_mm.nil?
        ruled(ruling) * SLACK <= width && ruled(ruling) * SLACK + first + last <= @box.width
      end

      # Sheets of one scale differ a little in what a millimetre stands for.
      SLACK = 1.01

      # What the first and the last label take beyond the bar.
      def end_widths(ruling)
        names = labels(ruling)
        return 0.0, 0.0 if names.empty?
        first, last = names.first, names.last
        [width(first[2]) / 2, width(last[1]) - width(last[2]) / 2]
      end

      def width(string) = @look.face.width_mm(string, @look.size_pt)

      def narrow(units, width, free:)
        room = Units::Number.plain(width, decimals: 1)
        return no_room(Ruling.fitting(0, units, @style).first, room) if @style.division_length && !free
        least = @style.minimum_mm or return Refusal.new("bar.no_round_length", room_mm: room, at: @path)
        Refusal.new("bar.no_round_length_of_least", room_mm: room, least_mm: Units::Number.plain(least), at: @path)
      end

      # Divisions that take more than there is are to be shorter; ones that can hardly be seen longer.
      def no_room(wanted, room) =
        Refusal.new(
          (ruled(wanted) < least(nil)) ? "bar.divisions_too_short" : "bar.divisions_too_long",
          count: wanted.count,
          length: @style.division_length,
          taken_mm: Units::Number.plain(ruled(wanted), decimals: 1),
          scale: Units::Number.ratio(@scale),
          room_mm: room,
          at: @path
        )

      def drawn = @drawn ||= Styles.build(@style, @look)

      # Page x of the marks; the zero of both bars is the same.
      def xs(ruling)
        whole = paper(ruling)
        ruling.values.map { |value| zero_x + whole * (value / ruling.whole).to_f }
      end

      def zero_x
        @zero_x ||=
          begin
            taken, (before, after) = paper(ruling), end_widths(ruling)
            start(taken, before: before, after: after) +
              taken * (ruling.left.positive? ? (ruling.division / ruling.whole).to_f : 0.0)
          end
      end

      def height = @look.face.cap_height_mm(@look.size_pt)

      def gap = @style.label_gap_mm

      # Labels above the first bar, unless they are wanted below it.
      def above
        if below?
          return [] unless unit_at == "middle"
          @y += height
          return [middle_unit(ruling, @y)].tap { @y += gap }
        end
        @y += height
        captions(ruling, @y).tap { @y += gap }
      end

      def below? = @style.labels_at == "below" && second.nil?

      def bars
        first = drawn.nodes(xs(ruling), ruling.left, @y)
        @y += drawn.height
        return first unless second
        return first + paired if drawn.pair?
        @y += @style.bars_gap_mm
        found = first + drawn.nodes(xs(second), second.left, @y)
        @y += drawn.height
        found
      end

      def paired
        found = drawn.below(xs(second), @y)
        @y += drawn.height
        found
      end

      def below
        shown = second || (below? ? ruling : nil) or return []
        @y += gap + height
        captions(shown, @y)
      end

      # [value, what is written, what of it stands over the mark]
      def labels(ruling)
        values = ruling.values
        wanted =
          case @style.labelled
          when "ends"
            [values.first, 0r, values.last]
          when "alternate"
            values.select do |value|
              value.negative? ? value == values.first : (value / ruling.division).to_i.even? || value == values.last
            end
          when "none"
            []
          else
            values.select { |value| !value.negative? || value == values.first }
          end
        wanted.uniq.map do |value|
          number = number(value.abs, ruling)
          [value, (value == values.last && unit_at == "last") ? "#{number} #{unit(ruling)}" : number, number]
        end
      end

      # Two units are told apart at their last labels.
      def unit_at = @style.second_units ? "last" : @style.unit_at

      def unit(ruling) = @style.unit_text || ruling.unit.symbol(@look.language, ruling.values.last)

      def number(value, ruling)
        decimals =
          @style.decimals ||
          (0..6).find do |places|
            (ruling.division * 10**places % 1).zero? &&
              (ruling.left.zero? || value < ruling.division || (value * 10**places % 1).zero?)
          end || 3
        # No more of them than this value needs.
        decimals = [Units::Number.places(value, most: decimals) || decimals, decimals].min unless @style.decimals
        @look.language.number(value, separator: Units::Number::SEPARATORS.fetch(@style.thousands), decimals: decimals)
      end

      # Texts over their marks; one that would touch the one before is left out, the last one never.
      def captions(ruling, base)
        marks = ruling.values.zip(xs(ruling)).to_h
        kept = []
        labels(ruling).reverse_each do |value, string, shown|
          left = marks[value] - width(shown) / 2
          kept << [left, string] if kept.empty? || left + width(string) < kept.last[0] - 0.4
        end
        found = kept.map { |x, string| text(x, base, string) }
        found << middle_unit(ruling, base + gap + drawn.height + gap + height) if unit_at == "middle" && !below?
        found
      end

      # The unit in the middle of the bar, on the other side of it than the labels.
      def middle_unit(ruling, base)
        ends = xs(ruling)
        text((ends.first + ends.last - width(unit(ruling))) / 2, base, unit(ruling))
      end

      def text(...) = @look.text(...)

      # Ratio and sentence, where they are wanted.
      def texts_of(place)
        {fraction: @style.fraction, verbal: @style.verbal}.select { |_, at| at == place }
          .map do |key, _|
            string = (key == :fraction) ? @look.ratio : @verbal.call(@style.verbal_units)
            @y += height * ((place == "below") ? LINE_PITCH : 1) + ((place == "below") ? gap : 0)
            text(aligned(string), @y, string).tap { @y += (place == "above") ? gap + height * 0.35 : 0 }
          end
      end

      def aligned(string) = start(width(string))

      # Where something so wide begins; before, after: what stands out of it on its sides.
      def start(taken, before: 0.0, after: 0.0)
        case @style.align
        when "centre"
          @box.min_x + (@box.width - taken + before - after) / 2
        when "right"
          @box.max_x - taken - after
        else
          @box.min_x + before
        end
      end

      def backing
        @style.backing ? [Scene::Path.new(runs: [@box.corners], closed: true, fill: @style.backing)] : []
      end
    end
  end
end
