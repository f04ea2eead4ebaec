# frozen_string_literal: true

module TileLoom
  module Conditions
    # A pattern of CQL2's "like": % stands for any number of characters, _ for one; \ takes the next as it is. Matched
    # without going back further than the last %, so that the work is at most the length of the text times that of
    # the pattern.
    class TextPattern
      ANY, ONE = :any, :one

      # Characters compared so far, which specs count.
      attr_reader :steps

      KEPT = PerThread.new(:patterns, most: 200)

      def self.of(pattern) = KEPT.fetch(pattern) { new(pattern) }

      def initialize(pattern)
        @parts = pattern.scan(/\\.|[^\\]|\\\z/m).map { |part| {"%" => ANY, "_" => ONE}[part] || part[-1] }
        # Several % in a row say no more than one.
        @parts =
          @parts
            .chunk_while { |one, other| one == ANY && other == ANY }
            .flat_map { |run| (run.first == ANY) ? [ANY] : run }
        @steps = 0
      end

      # Does the whole text fit the pattern?
      def match?(text)
        characters = text.chars
        at = part = 0
        star = mark = nil
        while at < characters.length
          @steps += 1
          if part < @parts.length && (@parts[part] == ONE || @parts[part] == characters[at])
            at += 1
            part += 1
          elsif @parts[part] == ANY
            star, mark = part, at
            part += 1
          elsif star
            part = star + 1
            at = mark += 1
          else
            return false
          end
        end
        @parts[part..].all?(ANY)
      end
    end
  end
end
