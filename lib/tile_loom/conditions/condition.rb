# frozen_string_literal: true

module TileLoom
  module Conditions
    # A condition on a feature's attributes, written as OGC CQL2 JSON (OGC 21-065r2): comparisons, and,
    # or, not, in, between, like, isNull, casei, arithmetic, dates and timestamps on {"property": name}, and functions
    # of the sheet that is drawn (see SheetFunctions), where one is.
    class Condition
      COMPARISONS = {
        "=" => ->(a, b) { a == b },
        "<>" => ->(a, b) { a != b },
        "<" => ->(a, b) { a < b },
        "<=" => ->(a, b) { a <= b },
        ">" => ->(a, b) { a > b },
        ">=" => ->(a, b) { a >= b }
      }.freeze
      ARITHMETIC = {"+" => :+, "-" => :-, "*" => :*, "/" => :fdiv, "%" => :%, "div" => :div, "^" => :**}.freeze
      # Operations that are true or false, and how many arguments they take.
      LOGIC = {
        "and" => 1..,
        "or" => 1..,
        "not" => 1..1,
        "in" => 2..2,
        "between" => 3..3,
        "like" => 2..2,
        "isNull" => 1..1
      }.freeze
      # Operations whose arguments are conditions themselves.
      JUNCTIONS = %w[and or not].freeze
      MOST_DEPTH = 20
      NUMERIC = %w[integer real].freeze
      # What an attribute counts as beside a value of another type.
      FAMILY = {"integer" => "number", "real" => "number", "date and time" => "date", "time" => "text"}.freeze

      # of_sheet: may it ask for the sheet that is drawn? of_features: and for the feature that it is asked of?
      def initialize(expression, path: nil, of_sheet: false, of_features: true)
        @expression, @path, @of_sheet, @of_features = expression, path, of_sheet, of_features
        @asks_sheet = false
        check(expression, 0)
        check_truth(expression)
      end

      # Names of the operations that are true or false, of which a condition is one.
      def self.truths = [*COMPARISONS.keys, *LOGIC.keys, *SheetFunctions::ALL.keys]

      # seen: OnSheet::Seen, the feature as it stands to a sheet; nil where there is no sheet, so that all that asks for
      # one is false.
      def match?(attributes, seen = nil) = truth(@expression, attributes, seen)

      # Does its answer depend on the sheet?
      def asks_sheet? = @asks_sheet

      # The names of the attributes that it asks for, without what it asks of the sheet.
      def attributes = names_in(@expression).uniq.reject { |name| @of_sheet && SheetProperties.named?(name) }

      # [from, to] where it holds for the numbers of one field between limits, an end nil where it is open; else nil.
      def range
        parts = (@expression.is_a?(Hash) && @expression["op"] == "and") ? @expression["args"] : [@expression]
        limits = parts.map { |part| limit(part) }
        return nil if limits.empty? || limits.any?(&:nil?) || limits.map(&:first).uniq.length > 1
        ends = limits.to_h { |_, side, number| [side, number] }
        (ends.length == limits.length) ? [ends[:from], ends[:to]] : nil
      end

      # Refuses a condition that asks for an attribute that is not there, or compares one with a value of
      # another type. types: name → "integer", "real", "text", "date", "date and time", "boolean", …
      def check_types(types)
        attributes.each do |name|
          refuse("condition.no_such_field", field: name, known: types.keys.first(20).join(", ")) unless types.key?(name)
        end
        compare_types(@expression, types)
      end

      private

      SIDES = {">=" => :from, ">" => :from, "<" => :to, "<=" => :to}.freeze

      # [field, side, number] of a comparison of a field with a number; else nil.
      def limit(part)
        return nil unless part.is_a?(Hash) && SIDES.key?(part["op"])
        field, number = part["args"]
        return nil unless field.is_a?(Hash) && field["property"] && number.is_a?(Numeric)
        [field["property"], SIDES[part["op"]], number]
      end

      def refuse(code, **values) = raise(Refusal.new(code, at: @path, **values))

      def check(node, depth)
        refuse("condition.nested_too_deep", most: MOST_DEPTH) if depth > MOST_DEPTH
        return unless node.is_a?(Hash)
        check_function(node) if SheetFunctions::ALL.key?(node["op"]) && known?(node)
        return node["args"].each { |part| check_part(part, depth) } if known?(node)
        return refuse_value(node) if node.key?("property") || node.key?("date") || node.key?("timestamp")
        refuse("condition.part_unreadable", part: JSON.generate(node)[0, 60]) unless node.key?("op")
        unless arity(node["op"])
          refuse(
            "condition.operation_unknown",
            operation: node["op"],
            known: [*COMPARISONS.keys, *LOGIC.keys, *ARITHMETIC.keys, "casei", *SheetFunctions::ALL.keys].join(", ")
          )
        end
        refuse("condition.number_of_arguments", operation: node["op"])
      end

      # What is asked for is true or false; what is compared is not. (CQL2, 7.1: booleanExpression; a field may hold
      # such a value.)
      def check_truth(node)
        return if [true, false].include?(node) || (node.is_a?(Hash) && node.key?("property"))
        unless node.is_a?(Hash) && self.class.truths.include?(node["op"])
          refuse("condition.not_true_or_false", part: JSON.generate(node)[0, 60])
        end
        return node["args"].each { |part| check_truth(part) } if JUNCTIONS.include?(node["op"])
        node["args"].flatten(1).each { |part| check_value(part) } unless SheetFunctions::ALL.key?(node["op"])
      end

      def check_value(node)
        return unless node.is_a?(Hash) && node.key?("op")
        unless ARITHMETIC.key?(node["op"]) || node["op"] == "casei" || SheetFunctions::ALL.key?(node["op"])
          refuse("condition.not_a_value", part: JSON.generate(node)[0, 60])
        end
        node["args"].each { |part| check_value(part) }
      end

      # All parts of a condition together, since a wide one costs as much as a deep one.
      MOST_PARTS = 2_000

      # Names, dates and times are texts.
      def refuse_value(node)
        unless node.slice("property", "date", "timestamp").each_value.all?(String)
          refuse("condition.part_unreadable", part: JSON.generate(node)[0, 60])
        end
        check_name(node["property"]) if node.key?("property")
      end

      # What is asked of the sheet has names of its own, where a sheet is.
      def check_name(name)
        if @of_sheet && SheetProperties.named?(name)
          @asks_sheet = true
          unless SheetProperties.known?(name)
            refuse("condition.no_such_fact", name: name, known: SheetProperties.names.join(", "))
          end
        elsif !@of_features
          refuse("condition.no_feature_here", field: name)
        end
      end

      def check_function(node)
        refuse("condition.no_sheet_here", function: node["op"]) unless @of_sheet
        refuse("condition.no_feature_here", field: node["op"]) unless @of_features
        @asks_sheet = true
        trouble = SheetFunctions.trouble(node)
        refuse(trouble) if trouble
      end

      def check_part(part, depth)
        @parts = (@parts || 0) + 1
        refuse("condition.too_many_parts", most: MOST_PARTS) if @parts > MOST_PARTS
        part.is_a?(Array) ? part.each { |item| check(item, depth + 1) } : check(part, depth + 1)
      end

      def known?(node) =
        node.key?("op") && node["args"].is_a?(Array) && !!arity(node["op"])&.cover?(node["args"].length) &&
          (node["op"] != "in" || node["args"][1].is_a?(Array))

      def arity(op)
        return 2..2 if COMPARISONS.key?(op) || ARITHMETIC.key?(op)
        return 1..1 if op == "casei"
        LOGIC[op] || SheetFunctions::ALL[op]&.arity
      end

      def truth(node, attributes, seen)
        return node == true unless node.is_a?(Hash)
        op, args = node.values_at("op", "args")
        case op
        when "and"
          args.all? { |part| truth(part, attributes, seen) }
        when "or"
          args.any? { |part| truth(part, attributes, seen) }
        when "not"
          !truth(args[0], attributes, seen)
        when "isNull"
          value(args[0], attributes, seen).nil?
        when "in"
          args[1].any? { |item| compare("=", value(item, attributes, seen), value(args[0], attributes, seen)) }
        when "between"
          within?(*args.map { |part| value(part, attributes, seen) })
        when "like"
          like?(value(args[0], attributes, seen), value(args[1], attributes, seen))
        when nil, *SheetFunctions::ALL.keys
          value(node, attributes, seen) == true
        else
          compare(op, value(args[0], attributes, seen), value(args[1], attributes, seen))
        end
      end

      # A missing value compares as false, as in SQL.
      def compare(op, left, right)
        return false if left.nil? || right.nil?
        return false unless %w[= <>].include?(op) || ordered?(left, right)
        COMPARISONS.fetch(op).call(left, right)
      end

      # Is one of them before the other? Of numbers and of texts; yes is not before no.
      def ordered?(left, right) = [Numeric, String].any? { |kind| left.is_a?(kind) && right.is_a?(kind) }

      def within?(item, low, high) = compare(">=", item, low) && compare("<=", item, high)

      def like?(text, pattern) = text.is_a?(String) && pattern.is_a?(String) && TextPattern.of(pattern).match?(text)

      def value(node, attributes, seen)
        return node unless node.is_a?(Hash)
        return property(node["property"], attributes, seen) if node.key?("property")
        return node["date"] || node["timestamp"] unless node.key?("op")
        return seen && SheetFunctions.value(node, seen) if SheetFunctions::ALL.key?(node["op"])
        args = node["args"].map { |part| value(part, attributes, seen) }
        return args[0].to_s.downcase if node["op"] == "casei"
        calculated(node["op"], *args)
      end

      def property(name, attributes, seen) =
        (@of_sheet && SheetProperties.named?(name)) ? seen&.fact(name) : attributes[name]

      def calculated(op, left, right)
        return nil unless left.is_a?(Numeric) && right.is_a?(Numeric)
        # A power of whole numbers would be worked out to its last digit, however many there are.
        left = left.to_f if op == "^"
        result = left.public_send(ARITHMETIC.fetch(op), right)
        (result.is_a?(Numeric) && result.real? && result.to_f.finite?) ? result : nil
      rescue ZeroDivisionError, RangeError
        nil
      end

      def names_in(node)
        case node
        when Array
          node.flat_map { |part| names_in(part) }
        when Hash
          node.key?("property") ? [node["property"]] : names_in(node["args"])
        else
          []
        end
      end

      def compare_types(node, types)
        return unless node.is_a?(Hash) && node["args"]
        return node["args"].each { |part| compare_types(part, types) } if JUNCTIONS.include?(node["op"])
        sides = node["args"].flatten(1).filter_map { |part| type_of(part, types)&.then { |type| [part, type] } }
        attribute, type = sides.find { |part, _| part.is_a?(Hash) && part.key?("property") }
        return unless attribute
        other = sides.find { |_, found| found != type }
        if other
          refuse(
            "condition.kinds_differ",
            field: attribute["property"],
            type: type,
            value: JSON.generate(other[0])[0, 40],
            other: other[1]
          )
        end
        if node["op"] == "like" && type != "text"
          refuse("condition.pattern_for_text", field: attribute["property"], type: type)
        end
      end

      def type_of(part, types)
        case part
        when Numeric
          "number"
        when true, false
          "boolean"
        when String
          "text"
        when Hash
          type_of_node(part, types)
        end
      end

      def type_of_node(node, types)
        return type_of_property(node["property"], types) if node.key?("property")
        return "date" if node.key?("date") || node.key?("timestamp")
        return "text" if node["op"] == "casei"
        return "boolean" if SheetFunctions::ALL.key?(node["op"])
        "number" if ARITHMETIC.key?(node["op"])
      end

      # nil for a field of the sheet's feature, which is of another layer.
      def type_of_property(name, types) =
        if @of_sheet && SheetProperties.named?(name)
          SheetProperties.type(name)
        else
          types[name].then { |type| FAMILY.fetch(type, type) }
        end
    end
  end
end
