# frozen_string_literal: true

module TileLoom
  module Crs
    # How accurate the way from one reference to another is at a place, by what PROJ's database says of
    # the operation that it would use with the grids that are here.
    class Accuracy
      # Metres beyond which a reader should be told.
      NOTEWORTHY_M = 2.0

      # box: [west, south, east, north] in degrees of the ground.
      def initialize(from, to, box)
        @from, @to, @box = from, to, box
      end

      # Metres; 0 where the datum does not change; nil where only a rough way is known, or none is stated.
      def metres
        return 0.0 if same_datum?
        return @metres if defined?(@metres)
        @metres = operation.accuracy_here
      end

      # A warning, or nil when all is well.
      def warning
        return rough if metres.nil?
        return nil if metres <= NOTEWORTHY_M
        reached = Units::Number.plain(metres, decimals: 1)
        "The transformation from #{@from.datum} to #{@to.datum} is accurate only to #{reached} m."
      end

      private

      def rough
        if operation.ballpark?
          return (
            "There is no accurate transformation from #{@from.datum} to #{@to.datum} here: PROJ has only a rough " \
            "one, which may be off by hundreds of metres. Compare with a known place."
          )
        end
        "The transformation from #{@from.datum} to #{@to.datum}, “#{operation.name}”, is " \
          "#{"made for #{operation.area} and " unless operation.area.empty?}of unknown accuracy here. Compare with a known place."
      end

      def same_datum? = @from.datum == @to.datum

      def operation = @operation ||= (@to.operations || Operations::NONE).between(@from, @to, @to, box: @box)
    end
  end
end
