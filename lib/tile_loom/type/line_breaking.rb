# frozen_string_literal: true

module TileLoom
  module Type
    # Breaks a paragraph into lines: at spaces, at soft hyphens, and (where a Hyphenation is given) within words.
    class LineBreaking
      SOFT_HYPHEN = "\u00AD"
      # Room for rounding in a line that is as long as its column.
      HAIR_MM = 1e-9

      # stops: TabStop list; hyphenation: a Hyphenation, or nil.
      def initialize(paragraph, stops: [], hyphenation: nil)
        @paragraph, @stops, @hyphenation = paragraph, stops, hyphenation
      end

      # Line list. The block gives the width in mm of the line of an index.
      def lines(&width)
        @rows, @width = [[[]]], width
        words.each { |word, space| (word == :tab) ? @rows.last << [] : add(word, space) }
        @rows.each_with_index.map { |cells, index| line(cells, last: index == @rows.length - 1) }
      end

      private

      def line(cells, last: false) = Line.new(cells, stops: @stops, last: last)

      # [pieces of a word, style of the space before it], or [:tab, nil].
      def words
        found = []
        space = nil
        open = false
        @paragraph.pieces.each do |string, style|
          string.scan(/\t|[^\t\S]+|\S+/) do |part|
            if part == "\t"
              found << [:tab, nil]
              open = false
              space = nil
            elsif part.match?(/\A[^\t\S]/)
              space = style
              open = false
            elsif open
              found.last[0] << [part, style]
            else
              found << [[[part, style]], space]
              open = true
              space = nil
            end
          end
        end
        found
      end

      def add(word, space)
        return if put(word, space)
        head, tail = broken(word, space)
        if head
          put(head, space, forced: true)
        elsif @rows.last == [[]]
          # Longer than a line, and nowhere to be broken.
          return put(word, space, forced: true)
        else
          tail = word
        end
        @rows << [[]]
        add(tail, nil)
      end

      # Joins a word to the last line where there is room.
      def put(word, space, forced: false)
        cells = with(word, space)
        return false unless forced || fits?(cells)
        @rows[-1] = cells
        true
      end

      def fits?(cells) = line(cells).width_mm <= @width.call(@rows.length - 1) + HAIR_MM

      def with(word, space)
        cell = @rows.last.last
        lead = cell.empty? ? [] : [[" ", space || cell.last[1]]]
        [*@rows.last[0...-1], joined([*cell, *lead, *word.map { |string, style| [string.delete(SOFT_HYPHEN), style] }])]
      end

      # Neighbours of one style as one piece, so that they are kerned.
      def joined(pieces)
        pieces.each_with_object([]) do |(string, style), found|
          (found.last && found.last[1] == style) ? found.last[0] += string : found << [string.dup, style]
        end
      end

      # [what stays on the line with a hyphen, the rest], the longest that fits; nil where none does.
      def broken(word, space)
        string = word.map(&:first).join
        places(string).reverse_each do |place|
          head = cut(word, 0, place)
          next if head.empty?
          hyphened = [*head[0...-1], ["#{head.last[0]}-", head.last[1]]]
          return hyphened, cut(word, place, string.length - place) if fits?(with(hyphened, space))
        end
        nil
      end

      # Where a word may be broken, as numbers of its characters before the break.
      def places(string)
        soft = string.each_char.with_index.filter_map { |character, index| index if character == SOFT_HYPHEN }
        return soft unless soft.empty?
        @hyphenation ? @hyphenation.places(string) : []
      end

      # Pieces of a word from a character on.
      def cut(word, from, length)
        at = 0
        word.filter_map do |string, style|
          start = [from - at, 0].max
          finish = [from + length - at, string.length].min
          at += string.length
          [string[start...finish], style] if finish > start
        end
      end
    end
  end
end
