# frozen_string_literal: true

module TileLoom
  module Symbology
    # Of a rule that is for the features that meet its condition, or for all where it has none.
    module Conditional
      # seen: the feature as it stands to the sheet (Conditions::OnSheet::Seen), or nil.
      def match?(attributes, seen = nil) = condition.nil? || condition.match?(attributes, seen)

      # Does it depend on the sheet which features it is for?
      def asks_sheet? = !!condition&.asks_sheet?
    end
  end
end
