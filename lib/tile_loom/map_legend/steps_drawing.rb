# frozen_string_literal: true

module TileLoom
  module MapLegend
    # Classes of a number as steps that join, the highest on top: their limits stand where two steps meet, or their
    # ranges beside them. Where a class between two of them is not on the sheet, the steps stand apart.
    class StepsDrawing
      APART_MM = 1.2

      # row: Rows::Steps; entries: Symbology::LegendEntry list.
      def initialize(row, entries, manner:, width:)
        @row, @manner, @width = row, manner, width
        @entries = entries.sort_by { |entry| entry.range&.first || -Float::INFINITY }.reverse
      end

      def block
        head = @row.title ? @manner.paragraph(@row.title, @width, @manner.note) : nil
        # The topmost limit stands half above its step.
        top = (head ? head.height_mm + 0.5 : 0.0) + (limits? ? line_mm / 2 : 0.0)
        height = top + tops.last + step_mm + (limits? ? line_mm / 2 : 0.0)
        Block.new(
          height_mm: height,
          natural_mm: [
            head&.natural_mm.to_f,
            @manner.text_start_mm + labels.map { |text, _| width(text) }.max.to_f
          ].max,
          notices: notices,
          drawn: ->(x, y) { [*head&.nodes(x, y), *steps(x, y + top), *words(x, y + top)] }
        )
      end

      private

      def limits? = @row.labels == "limits" && @entries.all?(&:range)

      def step_mm = [@manner.pitch_mm, limits? ? line_mm : 0.0].max

      def line_mm = @manner.entry.pitch_mm

      def width(text) = @manner.entry.width_mm(text)

      # Classes without limits of their own are told by their titles.
      def notices
        return [] if @row.labels == "titles" || @entries.all?(&:range)
        bare = @entries.reject(&:range).map { |entry| "“#{entry.title}”" }
        ["Without limits of numbers, and so by their titles: #{Sentences.listed(bare, 5)}."]
      end

      # Does a step begin where the one above it ends?
      def joined?(index) = index.positive? && ends(index - 1).first == ends(index).last && ends(index).last

      def ends(index) = @entries[index].range || [nil, nil]

      # Distances of the steps from the first one.
      def tops
        @tops ||=
          @entries
            .each_index
            .reduce([]) do |found, index|
              found << (
                if index.zero?
                  0.0
                else
                  found.last + step_mm + (joined?(index) ? 0.0 : APART_MM)
                end
              )
            end
      end

      def steps(x, y)
        left = x + (@manner.text_start_mm - @manner.label_gap_mm - @manner.sample_width_mm) / 2
        @entries.each_with_index.flat_map do |entry, index|
          step = Geometry::Box.at(left, y + tops[index], @manner.sample_width_mm, step_mm)
          if entry.shape == :area
            entry.symbol.nodes(rings: [step.corners])
          else
            @manner.symbol(entry.symbol, entry.shape, step)
          end
        end
      end

      # [text, distance of its middle from the first step's head].
      def labels
        @labels ||= limits? ? limits : @entries.each_index.map { |index| [beside(index), tops[index] + step_mm / 2] }
      end

      def limits
        @entries.each_index.flat_map do |index|
          low, high = ends(index)
          above = (high && !joined?(index)) ? [[number(high), tops[index]]] : []
          below = low ? [[number(low), tops[index] + step_mm]] : []
          above + below
        end
      end

      def beside(index)
        low, high = ends(index)
        return @entries[index].title if @row.labels == "titles" || (low.nil? && high.nil?)
        return @manner.language.word(:under, value: number(high)) unless low
        return @manner.language.word(:over, value: number(low)) unless high
        "#{number(low, unit: false)}–#{number(high)}"
      end

      def number(value, unit: true) =
        [@manner.language.number(value, decimals: @row.decimals), unit ? unit_of : nil].compact.join(" ")

      def unit_of = @row.unit || @entries.filter_map(&:unit).first

      def words(x, y)
        labels.flat_map do |text, middle|
          left = x + @manner.text_start_mm
          room = Geometry::Box.new(left, y + middle - line_mm / 2, [x + @width, left + 1].max, y + middle + line_mm / 2)
          @manner.entry.set(text, room)
        end
      end
    end
  end
end
