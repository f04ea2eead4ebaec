# frozen_string_literal: true

module TileLoom
  module Symbology
    # Classes of a number: where one ends and the next begins.
    class Classes
      MOST = 12

      # One class: from its lower bound, up to its upper one (which counts in for the last).
      Class =
        Struct.new(:from, :to, :last, :count, keyword_init: true) do
          # The condition on an attribute, in CQL2 JSON.
          def condition(attribute)
            property = {"property" => attribute}
            {
              "op" => "and",
              "args" => [
                {"op" => ">=", "args" => [property, from]},
                {"op" => last ? "<=" : "<", "args" => [property, to]}
              ]
            }
          end

          def title = "#{Units::Number.grouped(from)} – #{Units::Number.grouped(to)}"
        end

      # values: numbers, others are passed over; way: a key of Breaks; count: of classes.
      def initialize(values, way:, count:)
        @values = values.select { |value| value.is_a?(Numeric) && value.to_f.finite? }.sort
        raise Refusal.new("symbology.no_numbers", at: "/attribute") if @values.empty?
        unless Breaks.all.key?(way)
          raise Refusal.new("symbology.no_such_way", way: way, known: Breaks.keys.join(", "), at: "/way")
        end
        unless count.is_a?(Integer) && count.between?(1, MOST)
          raise Refusal.new("symbology.number_of_classes", most: MOST, at: "/count")
        end
        @way, @count = way, count
      end

      # Rising bounds, each once.
      def breaks = @breaks ||= way.breaks(@values, @count).uniq.then { |found| (found.length == 1) ? found * 2 : found }

      # Class list, the lowest first.
      def list
        pairs = breaks.each_cons(2).to_a
        pairs.each_with_index.map do |(from, to), index|
          last = index == pairs.length - 1
          Class.new(
            from: from,
            to: to,
            last: last,
            count: @values.count { |value| value >= from && (last ? value <= to : value < to) }
          )
        end
      end

      private

      def way = Breaks.of(@way).new
    end
  end
end
