# frozen_string_literal: true

module TileLoom
  module Artwork
    # Commands and numbers of SVG path data (SVG 1.1, 8.3.9) one after another, each character looked at once. Numbers
    # may stand without a blank between them, and so may the two flags of an arc.
    class PathScanner
      COMMANDS = "MmLlHhVvCcSsQqTtAaZz"
      DIGITS = "0".."9"
      # A longer number says no more, and no program writes one.
      LONGEST_NUMBER = 64

      # Characters looked at so far, which specs count.
      attr_reader :steps

      def initialize(text)
        @characters = text.chars
        @at = @steps = 0
      end

      # Yields tokens: commands as text, numbers as Float. Refusal for what is neither.
      def each
        while (character = past_blanks)
          if COMMANDS.include?(character)
            step
            @arc, @given = character.casecmp?("A"), 0
            yield character
          else
            yield flag? ? flag(character) : number
            @given += 1 if @arc
          end
        end
      end

      private

      def step = @at += 1

      def peek
        @steps += 1
        @characters[@at]
      end

      def past_blanks
        while (character = peek) && (character == "," || character.match?(/\s/))
          step
        end
        character
      end

      # Of an arc's seven numbers the fourth and the fifth are flags of one digit.
      def flag? = @arc && [3, 4].include?(@given % 7)

      def flag(character)
        refuse unless %w[0 1].include?(character)
        step
        character.to_f
      end

      def number
        start = @at
        step if sign?
        whole = digits
        part = (peek == ".") ? (step && digits) : 0
        refuse if whole + part == 0
        exponent
        refuse if @at - start > LONGEST_NUMBER
        plain(@characters[start...@at].join.sub(/\.(?=[eE])/, "").to_f)
      end

      # What is beyond this cannot be reckoned with.
      LARGEST = 1e9

      def plain(value) = (value.abs <= LARGEST) ? value : refuse

      def sign? = %w[+ -].include?(peek)

      def digits
        from = @at
        while (character = peek) && DIGITS.cover?(character)
          step
        end
        @at - from
      end

      # An "e" without digits behind it is none.
      def exponent
        return unless %w[e E].include?(peek)
        back = @at
        step
        step if sign?
        @at = back if digits.zero?
      end

      def refuse = raise(Refusal.new("artwork.path_unreadable"))
    end
  end
end
