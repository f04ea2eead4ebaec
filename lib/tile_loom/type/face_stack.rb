# frozen_string_literal: true

require "delegate"

module TileLoom
  module Type
    # A face with others that give the characters which it has not: what texts are set in. It is its first face in all
    # but how it sets.
    class FaceStack < SimpleDelegator
      # others: gives the list of them, once it is asked for.
      def initialize(face, &others)
        super(face)
        @others = others
        @runs = {}
      end

      # Run list of a line, from left to right.
      def runs(string)
        @runs.clear if @runs.size > Face::MOST_SHAPED
        @runs[string] ||= itemizer.runs(string)
      end

      # In mm at a size in points, kerned; tracking_pt: added after each character.
      def width_mm(string, size_pt, tracking_pt: 0.0) = runs(string).sum { |run| run.width_mm(size_pt, tracking_pt: tracking_pt) }

      # Characters that none of the faces has.
      def missing(string) = itemizer.missing(string)

      private

      def itemizer = @itemizer ||= Itemizer.new([__getobj__, *@others.call])
    end
  end
end
