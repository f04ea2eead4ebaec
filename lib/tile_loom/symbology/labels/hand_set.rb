# frozen_string_literal: true

module TileLoom
  module Symbology
    module Labels
      # What was done by hand to the labels of one page: what is said of it alone goes before what is said of all.
      class HandSet
        # list: ByHand list; page: the page's name, or nil.
        def initialize(list, page)
          @found =
            list
              .select { |entry| entry.sheet.nil? || entry.sheet == page }
              .group_by { |entry| [entry.layer, entry.rule] }
        end

        NONE = new([], nil).freeze

        def any? = @found.any?

        # The ByHand of a label, or nil. string: its own text; number: of several along a line.
        def of(layer, rule_key, feature, string, number = 0)
          return nil if @found.empty?
          list = @found[[layer, rule_key]] or return nil
          mine = list.select { |entry| entry.number == number && entry.of?(feature, string) }
          mine.find(&:sheet) || mine.first
        end

        # What tells it from another.
        def key = @found.values.flatten.map(&:given)
      end
    end
  end
end
