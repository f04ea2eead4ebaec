# frozen_string_literal: true

module TileLoom
  module Data
    # What kinds of values a layer's attributes hold, learnt as its features come by: integer, real,
    # boolean, date, date and time, text.
    class AttributeTypes
      DATE = /\A\d{4}-\d{2}-\d{2}\z/
      MOMENT = /\A\d{4}-\d{2}-\d{2}[T ]\d{2}:\d{2}/

      def initialize
        @types = {}
      end

      # Takes the values of one attribute of many features into account.
      def observe(name, values)
        @types[name] = nil unless @types.key?(name)
        known = values.compact
        return if known.empty? || @types[name] == "text"
        # What is all of one class is seen at a glance; texts may be days.
        return note(name, "integer") if known.all?(Integer)
        return note(name, "real") if known.all?(Float)
        known.each do |value|
          note(name, type(value))
          break if @types[name] == "text"
        end
      end

      # Takes what others have learnt into account.
      def merge(other) = other.types.each { |name, type| note(name, type) }

      # name → type; attributes without a single value count as text.
      def to_h = @types.transform_values { |type| type || "text" }

      protected

      attr_reader :types

      private

      def note(name, seen)
        known = @types[name]
        @types[name] = joined(known, seen) unless known == seen && @types.key?(name)
      end

      def type(value)
        case value
        when nil
          nil
        when Integer
          "integer"
        when Numeric
          "real"
        when true, false
          "boolean"
        when DATE
          "date"
        when MOMENT
          "date and time"
        else
          "text"
        end
      end

      def joined(known, seen)
        return known || seen if known.nil? || seen.nil?
        return "real" if [known, seen].sort == %w[integer real]
        return "date and time" if [known, seen].sort == ["date", "date and time"]
        "text"
      end
    end
  end
end
