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
      def lines
        @items = words
        rows, from = [], 0
        while from < @items.length
          room = yield rows.length
          to = from + fitting(from, room)
          cells = cells(from, to)
          if to < @items.length
            head, tail = broken(cells, *@items[to], room)
            if head
              cells = joined_to(cells, head, @items[to][1])
              @items[to] = [tail, nil]
            elsif to == from
              # Longer than a line, and nowhere to be broken.
              cells = cells(from, to += 1)
            end
          end
          rows << cells
          from = to
        end
        rows << [[]] if rows.empty?
        rows.each_with_index.map { |cells, index| line(cells, last: index == rows.length - 1) }
      end

      private

      def line(cells, last: false) = TextLine.new(cells, stops: @stops, last: last)

      # How many of the items from one on stand in a line of a width: doubled until they do not, then halved to it.
      def fitting(from, room)
        most = @items.length - from
        # Most paragraphs are short, and stand in one line or end in it.
        return most if most <= SHORT && stands?(from, most, room)
        held = 0
        tried = 1
        while tried <= most && stands?(from, tried, room)
          held = tried
          tried = [tried * 2, most].min
          break if held == most
        end
        return held if held == most
        beyond = tried
        while beyond - held > 1
          middle = (held + beyond) / 2
          stands?(from, middle, room) ? held = middle : beyond = middle
        end
        held
      end

      SHORT = 12

      def stands?(from, count, room) = fits?(cells(from, from + count), room)

      # Tabs that close a line take no room.
      def fits?(cells, room)
        written = cells.rindex(&:any?) || 0
        line(cells.first(written + 1)).width_mm <= room + HAIR_MM
      end

      # Cells of the items of a line.
      def cells(from, to)
        @items[from...to].each_with_object([[]]) do |(word, space), found|
          (word == :tab) ? found << [] : append(found.last, word, space)
        end
      end

      # Cells with a word more.
      def joined_to(cells, word, space)
        [
          *cells[0...-1],
          cells.last.map { |string, style| [string.dup, style] }.tap { |cell| append(cell, word, space) }
        ]
      end

      # Neighbours of one style are one piece, so that they are kerned.
      def append(cell, word, space)
        add(cell, " ", space || cell.last[1]) if cell.any?
        word.each { |string, style| add(cell, string.delete(SOFT_HYPHEN), style) }
      end

      def add(cell, string, style)
        (cell.any? && cell.last[1] == style) ? cell.last[0] << string : cell << [+"" << string, style]
      end

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

      # [what stays on the line with a hyphen, the rest], the longest that fits; nil where none does.
      def broken(cells, word, space, room)
        return nil if word == :tab
        string = word.map(&:first).join
        return nil if string.length > LONGEST
        places = places(string)
        long = ->(place) { !fits?(joined_to(cells, hyphened(word, place), space), room) }
        beyond = places.bsearch_index(&long) || places.length
        return nil if beyond.zero?
        place = places[beyond - 1]
        [hyphened(word, place), cut(word, place, string.length - place)]
      end

      # Words of more characters stay whole.
      LONGEST = 1_000

      # A word up to a character, with a hyphen.
      def hyphened(word, place)
        *before, last = cut(word, 0, place)
        [*before, ["#{last[0]}-", last[1]]]
      end

      # Where a word may be broken, as numbers of its characters before the break, rising.
      def places(string)
        soft =
          string.each_char.with_index.filter_map do |character, index|
            index if character == SOFT_HYPHEN && index.positive?
          end
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
