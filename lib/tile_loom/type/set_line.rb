# frozen_string_literal: true

module TileLoom
  module Type
    # A line in its place on the page: the texts of its pieces one after another, in the order in which they stand;
    # lines under and through them; what tabs are led by.
    class SetLine
      # word_pt: added to each space.
      def initialize(line, word_pt: 0.0)
        @line, @word_pt = line, word_pt
      end

      # Scene nodes from its start on the baseline, in page mm.
      def nodes(x, y)
        @line.placed.flat_map { |cell| [*leader(cell, x, y), *pieces(cell, x + cell.x, y)] }
      end

      private

      def pieces(cell, x, y)
        standing(cell.pieces).flat_map do |string, style|
          width = style.width_mm(string) + string.count(" ") * @word_pt * Face::MM_PER_PT
          nodes =
            (string.strip.empty? && !style.underlined) ? [] : [text(string, style, x, y), *ruled(style, x, width, y)]
          x += width
          nodes
        end
      end

      # Pieces from left to right. Where a text has parts that run the other way, a piece is parted with them (UAX 9).
      def standing(pieces)
        return pieces if pieces.length < 2
        string = pieces.map(&:first).join
        return pieces unless string.match?(Bidi::ANY)
        levels = Bidi.levels(string)
        at = 0
        parts =
          pieces.flat_map do |part, style|
            mine = levels[at, part.length]
            at += part.length
            part
              .chars
              .zip(mine)
              .chunk_while { |(_, one), (_, other)| one == other }
              .map { |chunk| [chunk.map(&:first).join, style, chunk.first[1]] }
          end
        Bidi.visual(parts, parts.map(&:last)).map { |part, style, _| [part, style] }
      end

      def text(string, style, x, y)
        Scene::Text.new(
          x: x,
          y: y - style.rise_mm,
          string: string,
          face: style.face,
          size_pt: style.size_pt,
          colour: style.colour,
          tracking_pt: style.tracking_pt,
          word_pt: @word_pt
        )
      end

      # Through a text: at half the height of its small letters, taken as a third of its capitals and more.
      def ruled(style, x, width, y)
        position, thickness = style.underline
        places = []
        places << y - style.rise_mm - position if style.underlined
        places << y - style.rise_mm - style.face.cap_height_mm(style.size_pt) * 0.38 if style.struck
        places.map do |place|
          Scene::Path.new(
            runs: [[x, place, x + width, place]],
            closed: false,
            stroke: Scene::Stroke.new(colour: style.colour, width_mm: thickness)
          )
        end
      end

      # Its signs stand at multiples of their own width, so that those of several lines lie below one another.
      def leader(cell, x, y)
        from, to, sign = cell.leader
        return [] unless sign
        style = (cell.pieces.first || @line.cells.flatten(1).first)&.last or return []
        step = style.width_mm(sign)
        return [] unless step.positive?
        first, last = (from / step + 0.5).ceil, (to / step - 0.5).floor
        return [] if last <= first
        [text(sign * (last - first), style.with(underlined: false, struck: false), x + first * step, y)]
      end
    end
  end
end
