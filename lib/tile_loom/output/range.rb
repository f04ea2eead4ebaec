# frozen_string_literal: true

module TileLoom
  module Output
    # Which sheets to print, as people write it: "1-3, 7, B2-C1", "all". Numbers are places in the book,
    # anything else a sheet's name.
    class Range
      def initialize(text) = @text = text.to_s.strip

      # The cells meant, in book order; Invalid names the part that is not known.
      def pick(cells)
        return cells if @text.empty? || @text.casecmp?("all")
        numbers = @text.split(",").flat_map { |part| span(part.strip, cells) }.uniq
        raise Invalid.new("The range “#{@text}” names no sheet.", path: "/sheets") if numbers.empty?
        cells.select { |cell| numbers.include?(cell.number) }
      end

      private

      def span(part, cells)
        return [] if part.empty?
        first, last = (find(part, cells) ? [part, part] : part.split("-", 2).map(&:strip))
        from, to = [first, last].map { |name| find(name.to_s, cells) || refuse(name.to_s.empty? ? part : name, cells) }
        Array(([from, to].min)..([from, to].max))
      end

      def find(name, cells)
        cells.find { |cell| (name.match?(/\A\d+\z/) && cell.number == name.to_i) || cell.name.casecmp?(name) }&.number
      end

      def refuse(name, cells)
        raise Invalid.new("There is no sheet “#{name}”; the book has #{cells.length} sheets, #{cells.first&.name} to #{cells.last&.name}. Write, for example, 1-3, 7.", path: "/sheets")
      end
    end
  end
end
