# frozen_string_literal: true

module TileLoom
  module Symbology
    # The range of scales in which something is drawn: {largest, smallest} as denominators, either open, both counted
    # in; nil for all.
    module Scales
      module_function

      def cover?(range, scale) = range.nil? || scale.between?(range[:largest] || 0, range[:smallest] || Float::INFINITY)

      # Refuses ends that are the wrong way round.
      def check(range, title:, path:)
        from, to = range&.values_at(:largest, :smallest)
        return unless from && to && from > to
        raise Refusal.new(
          "symbology.scales_swapped",
          title: title,
          from: Units::Number.ratio(from),
          to: Units::Number.ratio(to),
          at: "#{path}/visible_scales"
        )
      end
    end
  end
end
