# frozen_string_literal: true

require "prism"

module Setup
  # Small changes of a Ruby file that its examples ought to notice: one each.
  class Mutation < Prism::Visitor
    # A change: at: line; bytes: those that are replaced; with: by what.
    Change =
      Struct.new(:line, :bytes, :with, keyword_init: true) do
        def applied(source)
          source.byteslice(0, bytes.begin) + with + source.byteslice(bytes.end, source.bytesize - bytes.end)
        end

        def said(source) = "#{source.byteslice(bytes.begin, bytes.size).inspect} → #{with.inspect}"
      end

    # A message → what is sent instead.
    MESSAGES = {
      "+": "-",
      "-": "+",
      "*": "/",
      "/": "*",
      "<": "<=",
      "<=": "<",
      ">": ">=",
      ">=": ">",
      "==": "!=",
      "!=": "==",
      min: "max",
      max: "min",
      first: "last",
      last: "first",
      any?: "all?",
      all?: "any?",
      select: "reject",
      reject: "select",
      floor: "ceil",
      ceil: "floor",
      round: "floor",
      abs: "itself",
      reverse: "itself",
      compact: "itself",
      uniq: "itself",
      sort: "itself",
      zero?: "nonzero?",
      even?: "odd?",
      odd?: "even?"
    }.freeze

    # The changes of a source, those that cannot be parsed left out.
    def self.of(source)
      found = new
      Prism.parse(source).value.accept(found)
      found.changes.select { |change| Prism.parse(change.applied(source)).success? }
    end

    attr_reader :changes

    def initialize
      super
      @changes = []
    end

    def visit_call_node(node)
      instead = MESSAGES[node.name] unless node.receiver.nil?
      replace(node.message_loc, instead) if instead && node.message_loc
      super
    end

    def visit_and_node(node)
      replace(node.operator_loc, (node.operator == "&&") ? "||" : "or")
      super
    end

    def visit_or_node(node)
      replace(node.operator_loc, (node.operator == "||") ? "&&" : "and")
      super
    end

    # Either branch, whatever the condition says.
    def visit_if_node(node) = both_ways(node) { super }

    def visit_unless_node(node) = both_ways(node) { super }

    def visit_integer_node(node)
      replace(node.location, (node.value + 1).to_s)
      super
    end

    def visit_float_node(node)
      replace(node.location, (node.value + 1).to_s)
      super
    end

    def visit_true_node(node) = replace(node.location, "false")

    def visit_false_node(node) = replace(node.location, "true")

    # A range with its last, or without it.
    def visit_range_node(node)
      replace(node.operator_loc, (node.operator == "..") ? "..." : "..") if node.right
      super
    end

    private

    def both_ways(node)
      %w[true false].each { |truth| replace(node.predicate.location, truth) }
      yield
    end

    def replace(location, with)
      @changes << Change.new(line: location.start_line, bytes: location.start_offset...location.end_offset, with: with)
    end
  end
end
