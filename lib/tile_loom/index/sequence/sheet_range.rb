# frozen_string_literal: true

module TileLoom
  module Index
    # Which sheets to print, as people write it: "1-3, 7, B2-C1", "all". A part is a sheet's number or its name; "#3" is
    # the number alone and "\"3\"" the name alone. One that could be either of two sheets is asked about. "index" stands
    # for the index sheets and "pages" for all pages beside the sheets, where the book has them; so does a page's name.
    class SheetRange
      INDEX, PAGES = "index", "pages"

      # A part that is the number of one sheet and the name of another.
      class Ambiguous < Refusal
        # [{"text": the whole range with that reading, "says": the reading in words}, …]
        attr_reader :choices

        def initialize(choices:, **values)
          super("output.name_or_number", at: "/sheets", **values)
          @choices = choices
        end
      end

      # others: pages that are no sheets, which answer `index?` and `name`.
      def initialize(text, others: [])
        @text, @all_others = text.to_s.strip, others
      end

      # Those of them that are meant. What is the number or the name of a sheet means that sheet.
      def others(cells) = all? ? @all_others : parts.flat_map { |part| called(part, cells) }.uniq

      # The cells meant, in book order; Refusal names the part that is not known, Ambiguous the one that is two.
      def pick(cells)
        return cells if all?
        wanted = parts.reject { |part| called(part, cells).any? }
        numbers = wanted.flat_map { |part| span(part, cells) }
        if numbers.empty? && others(cells).empty?
          raise Refusal.new("output.range_names_none", text: @text, at: "/sheets")
        end
        cells.select { |cell| numbers.include?(cell.number) }
      end

      # For what each part that is a number was taken, in sentences.
      def readings(cells)
        parts
          .flat_map { |part| meant(part, cells).any? ? [part] : part.split("-", 2).map(&:strip) }
          .uniq
          .filter_map { |name| reading(name, cells) }
      end

      private

      def reading(name, cells)
        found = meant(name, cells)
        return nil unless name.match?(/\A#?\d+\z/) && found.length == 1
        cell = cells.find { |known| known.number == found.values.first }
        return nil if cell.name == cell.number.to_s
        if found.key?(:name)
          "“#{name}” is the sheet of that name, number #{cell.number}."
        else
          "“#{name}” is number #{cell.number}, sheet #{cell.name}."
        end
      end

      # Pages that are no sheets, by what a part calls them.
      def called(part, cells)
        return [] if meant(part, cells).any?
        return @all_others.select(&:index?) if part.casecmp?(INDEX)
        return @all_others.reject(&:index?) if part.casecmp?(PAGES)
        @all_others.select { |other| other.name.casecmp?(part) }
      end

      def all? = @text.empty? || @text.casecmp?("all")

      def parts = @text.split(",").map(&:strip)

      def span(part, cells)
        return [] if part.empty?
        first, last = (meant(part, cells).any? ? [part, part] : part.split("-", 2).map(&:strip))
        from, to = [first, last].map { |name| one(name.to_s, part, cells) }
        Array(([from, to].min)..([from, to].max))
      end

      # Reading → number of the sheet, for the readings that lead to one.
      def meant(name, cells)
        plain = name[/\A"(.+)"\z/, 1]
        number = name[/\A#(\d+)\z/, 1] || (name if name.match?(/\A\d{1,9}\z/))
        {
          number: number && cells.find { |cell| cell.number == number.to_i }&.number,
          name:
            (
              if name.start_with?("#")
                nil
              else
                (
                  cells.find { |cell| cell.name == (plain || name) } ||
                    cells.find { |cell| cell.name.casecmp?(plain || name) }
                )&.number
              end
            )
        }.compact
      end

      def one(name, part, cells)
        found = meant(name, cells)
        refuse(name.empty? ? part : name, cells) if found.empty?
        ask(name, part, found, cells) if found.values.uniq.length > 1
        found.values.first
      end

      def ask(name, part, found, cells)
        by_number, by_name =
          found.values_at(:number, :name).map { |number| cells.find { |cell| cell.number == number } }
        readings = {
          "##{name}" => "number #{name}, sheet #{by_number.name}",
          "\"#{name}\"" => "the sheet named #{name}, number #{by_name.number}"
        }
        choices = readings.map { |text, says| {"text" => reread(part, name, text), "says" => says} }
        raise Ambiguous.new(
          choices: choices,
          name: name,
          named: by_name.number,
          numbered: by_number.name,
          as_number: readings.keys.first,
          as_name: readings.keys.last
        )
      end

      # The whole text with the one part read so.
      def reread(part, name, text)
        parts
          .map do |known|
            next known unless known == part
            known.split("-", 2).map { |side| (side.strip == name) ? text : side.strip }.join("-")
          end
          .join(", ")
      end

      def refuse(name, cells)
        raise Refusal.new(
          "output.no_such_sheet",
          name: name,
          count: cells.length,
          first: cells.first&.name,
          last: cells.last&.name,
          at: "/sheets"
        )
      end
    end
  end
end
