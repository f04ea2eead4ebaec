# frozen_string_literal: true

module TileLoom
  module Compose
    # Text with Liquid tags, strict: an unknown value or filter is an error that names it.
    class LiveText
      LIMITS = {render_length_limit: 20_000, render_score_limit: 5_000, assign_score_limit: 5_000}.freeze
      LONGEST = 10_000
      # Parts of the document that come into a drawing through live text alone, in the groups “book” and “fields”.
      OF_THE_BOOK = %w[title subtitle author subject edition source description fields].freeze
      # The names of those groups, and ranges, whose ends a visitor does not see.
      NAMES_THEM = /book|fields|\.\./
      # Parsed once a thread, as a Liquid template belongs to whoever fills it.
      KEPT = PerThread.new(:live_texts, most: 500)
      private_constant :KEPT, :NAMES_THEM

      def initialize(template, path: nil)
        @text, @path = template, path
        raise Refusal.new("live_text.too_long", longest: LONGEST, at: path) if template.length > LONGEST
        @template = KEPT.fetch(template) { Templates::TextTemplate.new(template, LIMITS) }
      rescue Liquid::SyntaxError => error
        trouble = Templates::TextTemplate.trouble(error)
        raise Refusal.new("live_text.unreadable", template: template[0, 60], trouble: trouble, at: path)
      end

      # May a value of the book as a whole come into it? By its words, as a name can stand where no visitor of the
      # parsed text looks, and by what it looks up under a name that is worked out.
      def asks_book? = @text.match?(NAMES_THEM) || @template.values_asked.any? { |name, _| !name.is_a?(String) }

      # values: nested hash with string keys; language: a Languages::Language; written: what is made of each before it
      # comes into the text, or nil.
      def fill(values, language: Languages::Language.english, written: nil)
        @template.fill(values, strict: true, language: language, written: written)
      rescue Liquid::UndefinedVariable => error
        name = Templates::TextTemplate.undefined(error, "variable")
        known = LiveValues.names(fields: values["fields"].to_h.keys)
        raise Refusal.new("live_text.unknown_value", name: name, known: known.join(", "), at: @path)
      rescue Liquid::UndefinedFilter => error
        name = Templates::TextTemplate.undefined(error, "filter")
        raise Refusal.new(
          "live_text.unknown_filter",
          name: name,
          known: Templates::TextTemplate.known_filters,
          at: @path
        )
      rescue Liquid::Error => error
        raise Refusal.new("live_text.not_filled", trouble: Templates::TextTemplate.trouble(error), at: @path)
      rescue *Templates::TextTemplate::TROUBLES => error
        raise Refusal.new("live_text.filter_refuses", trouble: error.message.lines.first.to_s.strip[0, 80], at: @path)
      end
    end
  end
end
