# frozen_string_literal: true

module TileLoom
  module Ground
    # A condition on a feature's attributes, written as OGC CQL2 JSON (OGC 21-065r2): comparisons,
    # and, or, not, in, between, isNull on {"property": name}.
    class Condition
      COMPARISONS = {
        "=" => ->(a, b) { a == b }, "<>" => ->(a, b) { a != b },
        "<" => ->(a, b) { a < b }, "<=" => ->(a, b) { a <= b },
        ">" => ->(a, b) { a > b }, ">=" => ->(a, b) { a >= b }
      }.freeze
      MOST_DEPTH = 20

      def initialize(expression, path: nil)
        @expression = expression
        check(expression, path, 0)
      end

      def match?(attributes) = truth(@expression, attributes)

      private

      def check(node, path, depth)
        raise Invalid.new("The condition is nested more than #{MOST_DEPTH} deep.", path: path) if depth > MOST_DEPTH
        return unless node.is_a?(Hash) && node.key?("op")
        known = COMPARISONS.key?(node["op"]) || %w[and or not in between isNull].include?(node["op"])
        unless known && node["args"].is_a?(Array)
          raise Invalid.new("The condition’s operation “#{node["op"]}” is not known; use =, <>, <, <=, >, >=, and, or, not, in, between or isNull.", path: path)
        end
        node["args"].each { |part| check(part, path, depth + 1) }
      end

      def truth(node, attributes)
        op, args = node.values_at("op", "args")
        case op
        when "and" then args.all? { |part| truth(part, attributes) }
        when "or" then args.any? { |part| truth(part, attributes) }
        when "not" then !truth(args[0], attributes)
        when "isNull" then value(args[0], attributes).nil?
        when "in" then args[1].any? { |item| value(item, attributes) == value(args[0], attributes) }
        when "between" then within?(*args.map { |part| value(part, attributes) })
        else compare(op, value(args[0], attributes), value(args[1], attributes))
        end
      end

      # A missing value compares as false, as in SQL.
      def compare(op, left, right)
        return false if left.nil? || right.nil?
        return false unless left.is_a?(Numeric) == right.is_a?(Numeric) || %w[= <>].include?(op)
        COMPARISONS.fetch(op).call(left, right)
      rescue NoMethodError, ArgumentError
        false
      end

      def within?(item, low, high) = compare(">=", item, low) && compare("<=", item, high)

      def value(node, attributes) = node.is_a?(Hash) ? attributes[node["property"]] : node
    end
  end
end
