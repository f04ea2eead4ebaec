# frozen_string_literal: true

module TileLoom
  module Templates
    # Text with Liquid tags that the fields of a feature fill in: {{ name }}, {{ feature["odd name"] }}, with the
    # filters of live text. Strict: a filter that is unknown is refused when the text is read.
    class FeatureText
      LONGEST = 1_000
      LIMITS = {render_length_limit: 2_000, render_score_limit: 500, assign_score_limit: 500}.freeze
      # By which a field is reached whatever its name.
      ALL = "feature"

      # Names of fields that it asks for, as far as they stand in it.
      attr_reader :fields

      # path: in the document, for what is said of it.
      def initialize(template, path: nil)
        @path = path
        raise Refusal.new("labels.text_too_long", longest: LONGEST, at: path) if template.length > LONGEST
        @template = TextTemplate.new(template, LIMITS)
        @fields = @template.values_asked.map { |name, into| (name == ALL) ? into.first : name }.grep(String).uniq
        check
      rescue Liquid::SyntaxError => error
        raise unreadable(template[0, 60], error)
      end

      # The text of a feature of these attributes in a Languages::Language, empty where none of the fields that it asks
      # for has a value, or where a filter cannot do with what it is given.
      def fill(attributes, language)
        return "" if fields.any? && fields.none? { |name| attributes[name].to_s != "" }
        @template.fill(attributes.merge(ALL => attributes), strict: false, language: language)
      rescue Liquid::Error, *TextTemplate::TROUBLES
        ""
      end

      private

      # With nothing filled in, what is wrong with it itself shows.
      def check
        @template.fill({ALL => {}}, strict: false, language: Languages::Language.english)
      rescue Liquid::UndefinedFilter => error
        name = TextTemplate.undefined(error, "filter")
        raise Refusal.new("labels.unknown_filter", name: name, known: TextTemplate.known_filters, at: @path)
      rescue Liquid::MemoryError => error
        raise unreadable("", error)
      rescue Liquid::Error, *TextTemplate::TROUBLES
        # A filter that needs a number has none yet.
        nil
      end

      def unreadable(template, error) =
        Refusal.new("labels.text_unreadable", template: template, trouble: TextTemplate.trouble(error), at: @path)
    end
  end
end
