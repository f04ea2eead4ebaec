# frozen_string_literal: true

module TileLoom
  module Languages
    # How a language writes numbers, dates and units on a page, and its words for what pages say.
    class Language
      MINUS = "\u2212"
      # Tells that a text begins with a capital where it stands in a sentence, too: German writes its nouns so.
      CAPITALS = %w[de].freeze

      # tag: of RFC 5646, as the book has it; code: of those known.
      attr_reader :tag, :code

      # Of a tag such as "de-AT": German; English stands in for one that is not known.
      def self.of(tag)
        code = Known.code(tag)
        # Tags of users are without end; codes are not.
        return new(tag, code || "en", known: !code.nil?) unless tag == code
        (@all ||= {})[code] ||= new(code, code)
      end

      def self.english = of("en")

      # known: is it one of those that pages can be written in, or does English stand in for it?
      def initialize(tag, code, known: true)
        @tag, @code, @known = tag, code, known
        @data, @words = Known::DATA.fetch(code), Known.words(code)
        freeze
      end

      def known? = @known

      def english? = code == "en"

      def decimal_sign = @data.fetch("decimal")

      # Between groups of three digits.
      def group_sign = @data.fetch("group")

      # Groups of three, with a fixed number of decimals: "12.500,5". separator: between the groups, the language's own
      # where none is given (of which some leave four digits together, CLDR's minimumGroupingDigits).
      def number(value, decimals: 0, separator: nil)
        text =
          Units::Number.grouped(
            value,
            separator: separator || sign_for(value.round(decimals)),
            decimals: decimals,
            point: decimal_beside(separator || group_sign)
          )
        # Nothing that is rounded to zero is negative.
        text.sub(/\A-/, text.match?(/[1-9]/) ? MINUS : "")
      end

      # At most `decimals` places, no trailing zeros, no groups: "12,5".
      def plain(value, decimals: 6) = written(Units::Number.plain(value, decimals: decimals))

      # A number that is written with a point, as this language has it: "-12.5" → "−12,5".
      def written(text) = text.sub(/\A-/, MINUS).sub(".", decimal_sign)

      # A value as it comes into a text: numbers with decimals in this language's signs, all else as it is.
      def value(value) = value.is_a?(Float) ? written(value.to_s) : value

      # "1:2.500"; a denominator that is not whole keeps up to three decimals.
      def ratio(scale, separator: nil)
        exact, decimals = Units::Number.denominator(scale)
        "1:#{number(exact, separator: separator, decimals: decimals)}"
      end

      # The letter of "north", "east", "south" or "west".
      def letter(way) = hemisphere(way)[0]

      # As longitudes and latitudes have it: "OL" in Dutch, where a direction is "O".
      def hemisphere(way) = @data.fetch("ways").fetch(way)

      # The symbol of a Units::LengthUnit's code, or of "min"; number: that it follows.
      def unit(code, number = nil)
        forms =
          @data.fetch("units").fetch((code == "us-ft") ? "ft" : code) { return Units::LengthUnit.find(code).symbol }
        forms.fetch(plural(number)) { forms.fetch("other") }
      end

      # "April 2026"
      def month_and_year(date) = dated(date, @data.fetch("month_and_year"))

      # "2. April 2026"
      def long_date(date) = dated(date, @data.fetch("long_date"))

      # strftime(3) with the names of months and days of this language.
      def strftime(date, format)
        named =
          format.gsub(/%[-^#]*([BbhAa])/) do |directive|
            name = name_of(date, Regexp.last_match(1))
            (directive.include?("^") ? name.upcase : name).gsub("%", "%%")
          end
        date.strftime(named)
      end

      # The text of a key, with its values filled in. KeyError where there is none, or a value is lacking.
      def word(key, **values) =
        @words.fetch(key.to_s).gsub(/%\{(\w+)\}/) { values.fetch(Regexp.last_match(1).to_sym).to_s }

      # A text as it goes on after a colon or a comma.
      def going_on(text) = CAPITALS.include?(code) ? text : "#{text[0].downcase}#{text[1..]}"

      private

      # Between the groups of a number, which some languages have from five digits on alone.
      def sign_for(value) = (value.abs >= 10**(2 + @data.fetch("minimum_grouping_digits"))) ? group_sign : ""

      # Groups that are told apart by this language's own decimal sign leave it the other one.
      def decimal_beside(separator)
        return decimal_sign unless separator == decimal_sign
        (decimal_sign == ",") ? "." : ","
      end

      # CLDR's categories of cardinal numbers: Polish alone has more than one and other among those known.
      def plural(number)
        return "other" if number.nil? || number != number.to_i
        count = number.to_i.abs
        return "one" if count == 1
        return "other" unless code == "pl"
        ((count % 10).between?(2, 4) && !(count % 100).between?(12, 14)) ? "few" : "many"
      end

      def name_of(date, directive) =
        case directive
        when "B"
          @data.fetch("months")[date.month - 1]
        when "A"
          @data.fetch("days")[date.wday]
        when "a"
          @data.fetch("days_short")[date.wday]
        else
          @data.fetch("months_short")[date.month - 1]
        end

      # By a pattern of CLDR: d, MMMM (as in a date), LLLL (alone), y, words between apostrophes.
      def dated(date, pattern)
        pattern.gsub(/'([^']*)'|M{4}|L{4}|d+|y+/) do |part|
          case part[0]
          when "M"
            @data.fetch("months")[date.month - 1]
          when "L"
            @data.fetch("months_alone")[date.month - 1]
          when "d"
            date.day.to_s
          when "y"
            date.year.to_s
          else
            Regexp.last_match(1)
          end
        end
      end
    end
  end
end
