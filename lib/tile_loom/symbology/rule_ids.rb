# frozen_string_literal: true

module TileLoom
  module Symbology
    # The ids of a layer's rules. One that has none is called by its place; ids that are there stay.
    module RuleIds
      module_function

      # The id of a rule without one, at an index of the list.
      def placed(index) = "rule-#{index + 1}"

      # rules: JSON objects. The same with an id each, none twice.
      def filled(rules)
        taken = rules.filter_map { |rule| rule["id"] }.tally
        seen = {}
        rules.each_with_index.map do |rule, index|
          id = rule["id"]
          id = free(index) { |name| taken.key?(name) || seen[name] } unless id && !seen[id]
          seen[id] = true
          {"id" => id}.merge(rule, "id" => id)
        end
      end

      def free(index)
        index += 1 while yield placed(index)
        placed(index)
      end
    end
  end
end
