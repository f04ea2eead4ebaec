# frozen_string_literal: true

module TileLoom
  module Templates
    # Filters of live text, beside Liquid's own (upcase, date, replace …): numbers, lengths, angles.
    # {{ sheet.width_m | to_unit: "ft" | decimals: 0 }}
    module TextFilters
      # A number with so many decimals, thousands grouped, as the book's language has it.
      def decimals(input, places = 0) =
        language.number(number(input, "decimals"), decimals: places.to_i.clamp(0, 12))

      # A date in a format of strftime(3), with the names of months and days of the book's language; a width of more
      # than two digits would fill the memory.
      def date(input, format = nil)
        if format.to_s.length > 200 || format.to_s.match?(/%[-0^#_]*\d{3}/)
          raise Liquid::ArgumentError,
            "the filter “date” takes a format of at most 200 characters, with widths of at most two digits"
        end
        found = format && Liquid::Utils.to_date(input) or return super
        language.strftime(found, format.to_s)
      end

      # A date in full, as the book's language has it: "2 April 2026" in French is "2 avril 2026".
      def long_date(input)
        found = Liquid::Utils.to_date(input) or return input
        language.long_date(found)
      end

      # Liquid's own, but for bytes that are no text.
      def base64_decode(input) = text(super, "base64_decode")

      def base64_url_safe_decode(input) = text(super, "base64_url_safe_decode")

      # Metres in another unit of length: km, ft, us-ft, yd, mi, nmi.
      def to_unit(input, unit) = (number(input, "to_unit").to_r / Units::LengthUnit.find(unit).metres).to_f

      # A whole number with leading zeros.
      def padded(input, width = 2) = number(input, "padded").to_i.to_s.rjust(width.to_i.clamp(0, 40), "0")

      # Degrees as degrees, minutes and seconds, with the two hemisphere letters, such as "N,S".
      def dms(input, letters = "", seconds_decimals = 0)
        positive, negative = letters.to_s.split(",")
        Units::Angle.dms(
          number(input, "dms"),
          positive: positive.to_s,
          negative: negative || ((positive.to_s == "") ? "" : "-#{positive}"),
          decimals: seconds_decimals.to_i.clamp(0, 6)
        ).sub(".", language.decimal_sign)
      end

      private

      def language = @context.registers[:language]

      def text(bytes, filter)
        found = bytes.dup.force_encoding(Encoding::UTF_8)
        return found if found.valid_encoding?
        raise Liquid::ArgumentError, "the filter “#{filter}” gives bytes that are not UTF-8 text"
      end

      def number(input, filter)
        value = input.is_a?(Numeric) ? input : (Float(input.to_s, exception: false) || Units::NumberText.read(input))
        return value if value.is_a?(Numeric) && value.to_f.finite?
        raise Liquid::ArgumentError, "the filter “#{filter}” needs a number, not “#{input.to_s[0, 40]}”"
      end
    end
  end
end
