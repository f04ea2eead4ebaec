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
        raise Invalid.new("The text is longer than #{LONGEST} characters.", path: path) if template.length > LONGEST
        @template = Liquid::Template.parse(template, error_mode: :strict)
      rescue Liquid::SyntaxError => error
        raise Invalid.new("The live text “#{template[0, 60]}” does not read: #{clean(error)}.", path: path)
      end

      # values: nested hash with string keys.
      def fill(values)
        LIMITS.each { |name, limit| @template.resource_limits.public_send(:"#{name}=", limit) }
        @template.resource_limits.reset
        @template.render!(values, strict_variables: true, strict_filters: true, filters: [Filters])
      rescue Liquid::UndefinedVariable => error
        name = error.message[/undefined variable (\S+)/, 1]
        raise Invalid.new(
          "The live text asks for “#{name}”, which this sheet does not know; use one of #{LiveValues.names.join(", ")}.",
          path: @path
        )
      rescue Liquid::UndefinedFilter => error
        name = error.message[/undefined filter (\S+)/, 1]
        known = (Filters.public_instance_methods - [:date]).sort
        raise Invalid.new(
          "The live text uses the filter “#{name}”, which is not known; use one of #{known.join(", ")}, or Liquid’s " \
          "own such as upcase and date.",
          path: @path
        )
      rescue Liquid::Error => error
        raise Invalid.new("The live text cannot be filled in: #{clean(error)}.", path: @path)
      rescue ArgumentError, TypeError, RangeError, SystemCallError, EncodingError => error
        raise Invalid.new(
          "The live text cannot be filled in: a filter was given what it cannot work with " \
          "(#{error.message.lines.first.to_s.strip[0, 80]}).",
          path: @path
        )
      end

      private

      def clean(error) = error.message.delete_prefix("Liquid error: ").delete_prefix("Liquid syntax error: ").strip
    end
  end
end
