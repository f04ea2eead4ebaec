# frozen_string_literal: true

module TileLoom
  module Values
    # The types by their short names, where parts are declared.
    module Types
      ID = Named.new("id", Text.new(pattern: "^[A-Za-z0-9][A-Za-z0-9_-]{0,79}$"))
      COLOUR = Named.new("colour", Text.new(pattern: "^#[0-9a-fA-F]{6}$"))
      OPACITY = Named.new("opacity", Number.new(0..1))
      LENGTH_MM = Named.new("length_mm", Number.new(0..10_000))
      SIZE_PT = Named.new("size_pt", Number.new(above: 0, most: 1000))
      SCALE = Named.new("scale", Number.new(1..1_000_000_000, exact: true))
      FACE = Named.new("face", ID, about: "The key of a shipped typeface, or of one of the book's own.")
      GROUND_LENGTH = GroundLength.new
      FLAG = Flag.new

      def text(least: nil, most: nil, pattern: nil) = Text.new(least: least, most: most, pattern: pattern)

      def number(range = nil, **limits) = Number.new(range, **limits)

      def whole(range) = Whole.new(range)

      def flag = FLAG

      def choice(*texts, **titled, &found) = Choice.new(*texts, **titled, &found)

      def list(type, **limits) = List.new(type, **limits)

      # Parts that belong together without a class of their own: a Hash by name.
      def fields(**parts)
        Record.new(nil, parts.to_h { |name, type| [name, Part.new(name, type)] }) { |**found| found }
      end
    end
  end
end
