# frozen_string_literal: true

module TileLoom
  module Symbology
    # A symbol for the features that meet a condition (all of them where it has none).
    class Rule
      attr_reader :title, :symbol, :condition

      def initialize(settings, drawings: MarkerSet.new, factor: 1.0, path: nil)
        @title = settings["title"]
        @condition = settings["when"] && Data::Condition.new(settings["when"], path: "#{path}/when")
        @symbol = Symbol.new(settings["symbol"], drawings: drawings, factor: factor, path: "#{path}/symbol")
      end

      def match?(attributes) = @condition.nil? || @condition.match?(attributes)
    end
  end
end
