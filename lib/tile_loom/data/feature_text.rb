# frozen_string_literal: true

require "liquid"

module TileLoom
  module Data
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
        @template = Liquid::Template.parse(template, error_mode: :strict)
        LIMITS.each { |name, limit| @template.resource_limits.public_send(:"#{name}=", limit) }
        @fields = fields_of(@template.root)
        check
      rescue Liquid::SyntaxError => error
        raise Refusal.new("labels.text_unreadable", template: template[0, 60], trouble: clean(error), at: path)
      end

      # The text of a feature of these attributes, empty where none of the fields that it asks for has a value, or where
      # a filter cannot do with what it is given.
      def fill(attributes)
        return "" if fields.any? && fields.none? { |name| attributes[name].to_s != "" }
        @template.resource_limits.reset
        @template.render!(
          attributes.merge(ALL => attributes),
          strict_variables: false,
          strict_filters: true,
          filters: [TextFilters]
        )
      rescue Liquid::Error, ArgumentError, TypeError, RangeError, SystemCallError, EncodingError
        ""
      end

      private

      # With nothing filled in, what is wrong with it itself shows.
      def check
        @template.resource_limits.reset
        @template.render!({ALL => {}}, strict_variables: false, strict_filters: true, filters: [TextFilters])
      rescue Liquid::UndefinedFilter => error
        name = error.message[/undefined filter (\S+)/, 1]
        known = (TextFilters.public_instance_methods - [:date]).sort.join(", ")
        raise Refusal.new("labels.unknown_filter", name: name, known: known, at: @path)
      rescue Liquid::MemoryError => error
        raise Refusal.new("labels.text_unreadable", template: "", trouble: clean(error), at: @path)
      rescue Liquid::Error, ArgumentError, TypeError, RangeError, SystemCallError, EncodingError
        # A filter that needs a number has none yet.
        nil
      end

      def fields_of(root)
        found = []
        Liquid::ParseTreeVisitor
          .for(root)
          .add_callback_for(Liquid::VariableLookup) do |lookup|
            found << ((lookup.name == ALL) ? lookup.lookups.first : lookup.name)
          end
          .visit
        found.grep(String).uniq
      end

      def clean(error) = error.message.delete_prefix("Liquid error: ").delete_prefix("Liquid syntax error: ").strip
    end
  end
end
