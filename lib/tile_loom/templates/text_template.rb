# frozen_string_literal: true

require "liquid"

module TileLoom
  module Templates
    # A text with Liquid tags, read strictly and filled in within limits, with the filters that live text and labels
    # have in common.
    class TextTemplate
      # What filters raise on values that they cannot do with.
      TROUBLES = [ArgumentError, TypeError, RangeError, SystemCallError, EncodingError].freeze

      # Filters of Liquid's own that are made safe.
      REPLACED = %i[date base64_decode base64_url_safe_decode].freeze

      # limits: of Liquid::ResourceLimits by name. Liquid::SyntaxError where the text does not read.
      def initialize(text, limits)
        @template = Liquid::Template.parse(text, error_mode: :strict)
        limits.each { |name, limit| @template.resource_limits.public_send(:"#{name}=", limit) }
      end

      # strict: is a value that is not there an error? language: whose signs numbers have; written: what is made of each
      # value before it comes into the text, or nil. Liquid::Error or one of TROUBLES where it cannot be filled in.
      def fill(values, strict:, language:, written: nil)
        @template.resource_limits.reset
        # What it was filled with before is nothing to it.
        @template.instance_assigns.clear
        @template.registers.clear
        filled =
          @template.render!(
            values,
            strict_variables: strict,
            strict_filters: true,
            filters: [TextFilters],
            registers: {
              language: language
            },
            global_filter: ->(value) { language.value(value).then { |found| written ? written.call(found) : found } }
          )
        readable(filled)
      end

      # [name, names of what it goes into] of each value that it asks for; the ends of ranges are not among them.
      def values_asked = @values_asked ||= find_values_asked

      def find_values_asked
        found = []
        Liquid::ParseTreeVisitor
          .for(@template.root)
          .add_callback_for(Liquid::VariableLookup) { |lookup| found << [lookup.name, lookup.lookups] }
          .visit
        found
      end
      private :find_values_asked

      # What filters make can be what no drawing and no name of a file may hold: bytes that are no text, control
      # characters.
      def readable(text) = text.dup.force_encoding(Encoding::UTF_8).scrub.gsub(Assets::JsonText::CONTROL, "")
      private :readable

      # Names of filters beside Liquid's own, in a sentence.
      def self.known_filters = (TextFilters.public_instance_methods - REPLACED).sort.join(", ")

      # What an error says, without what Liquid puts before it.
      def self.trouble(error) =
        error.message.delete_prefix("Liquid error: ").delete_prefix("Liquid syntax error: ").strip

      # The name of what an error of Liquid's says is undefined ("filter", "variable").
      def self.undefined(error, what) = error.message[/undefined #{what} (\S+)/, 1]
    end
  end
end
