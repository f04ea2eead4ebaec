# frozen_string_literal: true

module TileLoom
  module Data
    # A Condition as a part of a value.
    class ConditionType < Values::Type
      def schema(_definitions) = {"type" => "object"}

      def read(json, path:, **) = Condition.new(json, path: path)
    end
  end
end
