# frozen_string_literal: true

module TileLoom
  module Ground
    # A symbol for the features that meet a condition (all of them where it has none).
    class Rule
      attr_reader :title, :symbol

      def initialize(settings, path: nil)
        @title = settings["title"]
        @condition = settings["when"] && Condition.new(settings["when"], path: "#{path}/when")
        @symbol = Symbol.new(settings["symbol"])
      end

      def match?(attributes) = @condition.nil? || @condition.match?(attributes)
    end
  end
end
