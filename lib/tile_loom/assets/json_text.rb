# frozen_string_literal: true

require "json"

module TileLoom
  module Assets
    # JSON that somebody sends: UTF-8, not nested deeply, not of more parts than memory holds well, with finite numbers
    # and texts without control characters. What is wrong is said in a sentence.
    module JsonText
      MOST_NESTING = 100
      # Lists and objects; each takes memory of its own, however little it holds.
      MOST_PARTS = 4_000_000
      # Tab, line feed and carriage return are text; the rest of Unicode's Cc is not.
      CONTROL = /[\u0000-\u0008\u000B\u000C\u000E-\u001F\u007F]/

      module_function

      # what: how the text is called in a sentence ("The file"). values: are numbers and texts looked at, too?
      def parse(text, what: "The text", nesting: MOST_NESTING, parts: MOST_PARTS, values: true)
        text = text.dup.force_encoding(Encoding::UTF_8).delete_prefix("\uFEFF")
        raise Refusal.new("json.no_utf8", what: what) unless text.valid_encoding?
        count = text.count("[{")
        if count > parts
          raise Refusal.new(
            "json.too_many_parts",
            what: what,
            count: Units::Number.grouped(count),
            most: Units::Number.grouped(parts)
          )
        end
        parsed = JSON.parse(text, max_nesting: nesting)
        check(parsed, what) if values
        parsed
      rescue JSON::NestingError
        raise Refusal.new("json.nested_too_deep", what: what, most: nesting)
      rescue JSON::ParserError, EncodingError => error
        raise Refusal.new(
          "json.no_json",
          what: what,
          trouble: error.message.scrub.lines.first.to_s.gsub(CONTROL, " ").strip[0, 120]
        )
      end

      # Refuses numbers beyond what a double holds and texts that are none, in all that is in it.
      def check(value, what)
        case value
        when Hash
          value.each { |key, item| [text(key, what), check(item, what)] }
        when Array
          value.each { |item| check(item, what) }
        when String
          text(value, what)
        when Float
          value.finite? || raise(Refusal.new("json.number_too_large", what: what))
        when Integer
          value.bit_length <= 1023 ||
            raise(Refusal.new("json.whole_number_too_large", what: what, digits: value.to_s.length))
        end
      end

      def text(value, what)
        raise Refusal.new("json.half_character", what: what) unless value.valid_encoding?
        if value.match?(CONTROL)
          raise Refusal.new("json.control_character", what: what, character: format("%04X", value[CONTROL].ord))
        end
      end
    end
  end
end
