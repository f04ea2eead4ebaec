# frozen_string_literal: true

module TileLoom
  module Document
    # What a person calls a part of a document, and what it holds: "Layers › Dams › Labels › 2 › Colour".
    module PartName
      # Endings of names that are units; what stands before them is the name.
      UNITS = {"mm" => "mm", "pt" => "pt", "deg" => "°", "m" => "m", "px" => "px", "ppi" => "ppi"}.freeze
      # Written otherwise than their letters.
      WORDS = {"crs" => "CRS", "layout" => "Sheet design", "index_layout" => "Index sheet design"}.freeze
      LONGEST = 60

      module_function

      # names: along the path of an operation; documents: where titles of entries are looked up, the first one first.
      def of(names, *documents)
        parts = documents
        names
          .map do |name|
            entry = parts.find { |part| part.is_a?(Array) }
            parts = parts.filter_map { |part| Operations.inner(part, name) }
            entry ? title(parts.first, name) : word(name)
          end
          .join(" › ")
      end

      # A value as a sentence has it.
      def value(value)
        case value
        when nil
          "nothing"
        when true
          "on"
        when false
          "off"
        when String
          "“#{shortened(value)}”"
        when Array
          value.all?(Numeric) ? value.map { |number| Units::Number.tidy(number) }.join(", ") : entries(value.length)
        when Hash
          own = value.values_at("title", "name").grep(String).first
          own ? "“#{shortened(own)}”" : shortened(value.map { |name, part| "#{word(name)} #{plain(part)}" }.join(", "))
        else
          plain(value)
        end
      end

      def word(name)
        return WORDS[name] if WORDS.key?(name)
        *rest, last = name.split("_")
        unit = rest.any? && UNITS[last]
        said = (unit ? rest : [*rest, last]).join(" ")
        "#{said[0]&.upcase}#{said[1..]}#{", #{unit}" if unit}"
      end

      # What an entry of a list is called: by its title, else by its id.
      def title(entry, id)
        said =
          (
            if entry.is_a?(Hash)
              entry.values_at("title", "name", "heading").grep(String).find { |text| !text.strip.empty? }
            end
          )
        shortened(said || ((entry.is_a?(Hash) && entry["type"].is_a?(String)) ? "#{word(entry["type"])} #{id}" : id))
      end

      def plain(value)
        case value
        when Numeric
          Units::Number.tidy(value).to_s
        when Array, Hash
          entries(value.length)
        else
          value.to_s
        end
      end

      def entries(count) = (count == 1) ? "1 entry" : "#{count} entries"

      def shortened(text) = (text.length > LONGEST) ? "#{text[0, LONGEST - 1]}…" : text

      private_class_method :title, :plain, :entries, :shortened
    end
  end
end
