# frozen_string_literal: true

module TileLoom
  module Output
    # Which sheets to print, as people write it: "1-3, 7, B2-C1", "all". Numbers are places in the book,
    # anything else a sheet's name; "key" is the key sheet, where the book has one.
    class Range
      KEY = "key"

      # key: has the book a key sheet?
      def initialize(text, key: false)
        @text, @has_key = text.to_s.strip, key
      end

      # Is the key sheet meant?
      def key? = @has_key && (all? || parts.any? { |part| part.casecmp?(KEY) })

      # The cells meant, in book order; Invalid names the part that is not known.
      def pick(cells)
        return cells if all?
        wanted = @has_key ? parts.reject { |part| part.casecmp?(KEY) } : parts
        numbers = wanted.flat_map { |part| span(part, cells) }.uniq
        raise Invalid.new("The range “#{@text}” names no sheet.", path: "/sheets") if numbers.empty? && !key?
        cells.select { |cell| numbers.include?(cell.number) }
      end

      private

      def all? = @text.empty? || @text.casecmp?("all")

      def parts = @text.split(",").map(&:strip)

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
