# frozen_string_literal: true

module TileLoom
  module Symbology
    # The ids of a layer's rules, by which legends know them. Ids that are there stay; a rule without one takes that of
    # the rule of the same condition before it, or a new one.
    module RuleIds
      module_function

      # The id of a rule that has none, by its place.
      def placed(index) = "rule-#{index + 1}"

      # rules: JSON objects; before: those that they take the place of. The same with an id each, none twice.
      def filled(rules, before: [])
        named = before.select { |rule| rule["id"] }
        taken = [*rules, *named].filter_map { |rule| rule["id"] }.tally
        seen = {}
        rules.each_with_index.map do |rule, index|
          id = [rule["id"], same(rule, named)].compact.find { |known| !seen[known] && own?(known, rule, rules) }
          id ||= free(index, taken.merge(seen))
          seen[id] = true
          {"id" => id}.merge(rule, "id" => id)
        end
      end

      def same(rule, named) = rule["id"] ? nil : named.find { |known| known["when"] == rule["when"] }&.fetch("id")

      # Does no other rule of the list say that the id is its own?
      def own?(id, rule, rules) = rule["id"] == id || rules.none? { |other| other["id"] == id }

      def free(index, taken)
        index += 1 while taken.key?(placed(index))
        placed(index)
      end
    end
  end
end
