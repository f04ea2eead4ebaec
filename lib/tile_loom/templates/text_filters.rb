# frozen_string_literal: true

module TileLoom
  module Templates
    # Filters of live text, beside Liquid's own (upcase, date, replace …): numbers, lengths, angles.
    # {{ sheet.width_m | to_unit: "ft" | decimals: 0 }}
    module TextFilters
      # A number with so many decimals, thousands grouped.
      def decimals(input, places = 0)
        Units::Number.grouped(number(input, "decimals"), decimals: places.to_i.clamp(0, 12))
      end

      # A date in a format of strftime(3); a width of more than two digits would fill the memory.
      def date(input, format = nil)
        if format.to_s.length > 200 || format.to_s.match?(/%[-0^#_]*\d{3}/)
          raise Liquid::ArgumentError,
            "the filter “date” takes a format of at most 200 characters, with widths of at most two digits"
        end
        super
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
        )
      end

      private

      def text(bytes, filter)
        found = bytes.dup.force_encoding(Encoding::UTF_8)
        return found if found.valid_encoding?
        raise Liquid::ArgumentError, "the filter “#{filter}” gives bytes that are not UTF-8 text"
      end

      def number(input, filter)
        value = input.is_a?(Numeric) ? input : Float(input.to_s, exception: false)
        return value if value.is_a?(Numeric) && value.to_f.finite?
        raise Liquid::ArgumentError, "the filter “#{filter}” needs a number, not “#{input.to_s[0, 40]}”"
      end
    end
  end
end
