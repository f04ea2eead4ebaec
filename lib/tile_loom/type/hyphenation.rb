# frozen_string_literal: true

require "text/hyphen"

module TileLoom
  module Type
    # Where words of a language may be broken, by the patterns of Liang's method (text-hyphen, with those of TeX).
    class Hyphenation
      # Language of a book (RFC 5646) → the patterns' name; a region where there are several.
      PATTERNS = {
        "en" => "en_uk",
        "en-us" => "en_us",
        "de" => "de2",
        "nb" => "no1",
        "no" => "no1",
        "nn" => "no2",
        "hu" => "hu1"
      }.freeze
      # What stays whole at a word's ends: two letters at its beginning, three at its end (TeX's lefthyphenmin and
      # righthyphenmin); text-hyphen breaks behind more letters than it is told.
      KEPT = {left: 1, right: 2}.freeze
      LOCK = Mutex.new
      # Words of fewer letters stay whole, and what is too long to be a word.
      LEAST, MOST = 5, 60

      class << self
        # Of a language, or nil where there are no patterns for it.
        def of(language)
          LOCK.synchronize do
            @known ||= {}
            @known.fetch(language) { @known[language] = read(language.to_s.downcase) }
          end
        end

        private

        def read(language)
          names = [PATTERNS[language], PATTERNS[language[/\A[a-z]+/]], language[/\A[a-z]{2,3}(?=\z|-)/]].compact
          names.each do |name|
            return new(Text::Hyphen.new(language: name, **KEPT))
          rescue ArgumentError, NameError
            # There is no such language, or what text-hyphen ships for it cannot be read (Croatian in 1.6).
            next
          end
          nil
        end
      end

      def initialize(patterns) = @patterns = patterns

      # As numbers of characters before the break; punctuation round the word is none of it.
      def places(word)
        letters = word[/\p{L}{#{LEAST},}/o] or return []
        return [] if letters.length > MOST
        start = word.index(letters)
        LOCK.synchronize { @patterns.hyphenate(letters) }.map { |place| start + place }
      end
    end
  end
end
