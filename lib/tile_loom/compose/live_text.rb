# frozen_string_literal: true

require "liquid"

module TileLoom
  module Compose
    # Text with Liquid tags, strict: an unknown value or filter is an error that names it.
    class LiveText
      LIMITS = {render_length_limit: 20_000, render_score_limit: 5_000, assign_score_limit: 5_000}.freeze
      LONGEST = 10_000

      def initialize(template, path: nil)
        @path = path
        raise Refusal.new("live_text.too_long", longest: LONGEST, at: path) if template.length > LONGEST
        @template = Liquid::Template.parse(template, error_mode: :strict)
      rescue Liquid::SyntaxError => error
        raise Refusal.new("live_text.unreadable", template: template[0, 60], trouble: clean(error), at: path)
      end

      # values: nested hash with string keys; written: what is made of each before it comes into the text, or nil.
      def fill(values, written: nil)
        LIMITS.each { |name, limit| @template.resource_limits.public_send(:"#{name}=", limit) }
        @template.resource_limits.reset
        @template.render!(
          values,
          strict_variables: true,
          strict_filters: true,
          filters: [Data::TextFilters],
          global_filter: written
        )
      rescue Liquid::UndefinedVariable => error
        name = error.message[/undefined variable (\S+)/, 1]
        known = LiveValues.names(fields: values["fields"].to_h.keys)
        raise Refusal.new("live_text.unknown_value", name: name, known: known.join(", "), at: @path)
      rescue Liquid::UndefinedFilter => error
        name = error.message[/undefined filter (\S+)/, 1]
        known = (Data::TextFilters.public_instance_methods - [:date]).sort
        raise Refusal.new("live_text.unknown_filter", name: name, known: known.join(", "), at: @path)
      rescue Liquid::Error => error
        raise Refusal.new("live_text.not_filled", trouble: clean(error), at: @path)
      rescue ArgumentError, TypeError, RangeError, SystemCallError, EncodingError => error
        raise Refusal.new("live_text.filter_refuses", trouble: error.message.lines.first.to_s.strip[0, 80], at: @path)
      end

      private

      def clean(error) = error.message.delete_prefix("Liquid error: ").delete_prefix("Liquid syntax error: ").strip
    end
  end
end
