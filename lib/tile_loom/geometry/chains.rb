# frozen_string_literal: true

module TileLoom
  module Geometry
    # Lines that run on into one another, as one: joined where an end of one is an end of exactly one other.
    class Chains
      # runs: flat coordinates of each line; flat coordinates of each chain, in the direction of the first of its lines.
      def self.of(runs) = new(runs.reject { |run| run.length < 4 }).found

      def initialize(runs)
        @runs = runs
        @ends = Hash.new { |hash, place| hash[place] = [] }
        runs.each_with_index do |run, number|
          @ends[run.first(2)] << number
          @ends[run.last(2)] << number
        end
        @taken = Array.new(runs.length, false)
      end

      def found
        @runs.each_index.filter_map do |number|
          next if @taken[number]
          @taken[number] = true
          forward = onward(@runs[number].dup)
          Runs.backwards(onward(Runs.backwards(forward)))
        end
      end

      private

      # With what follows its last place.
      def onward(run)
        while (number = following(run.last(2)))
          @taken[number] = true
          other = @runs[number]
          other = Runs.backwards(other) unless other.first(2) == run.last(2)
          run.concat(other.drop(2))
        end
        run
      end

      def following(place)
        ends = @ends[place]
        ends.find { |number| !@taken[number] } if ends.length == 2
      end
    end
  end
end
