# frozen_string_literal: true

require "json"
require "yaml"

module TileLoom
  module Languages
    # What is known of the languages that pages are written in: signs of numbers, months, symbols of units and letters
    # of hemispheres from the Unicode CLDR (cldr.json, written by bin/cldr), words from words/CODE.yml.
    module Known
      DATA = JSON.parse(File.read(File.join(__dir__, "cldr.json"))).fetch("languages").freeze
      # Code → its name in itself.
      NAMES = {
        "en" => "English",
        "de" => "Deutsch",
        "fr" => "français",
        "es" => "español",
        "pt" => "português",
        "pt-PT" => "português (Portugal)",
        "it" => "italiano",
        "nl" => "Nederlands",
        "sv" => "svenska",
        "nb" => "norsk bokmål",
        "da" => "dansk",
        "fi" => "suomi",
        "pl" => "polski",
        "cs" => "čeština",
        "el" => "ελληνικά"
      }.freeze
      # What is written in another's language where there is none of its own.
      STAND_INS = {"no" => "nb", "nn" => "nb"}.freeze

      module_function

      # The code among those known, or nil.
      def code(tag)
        primary = tag.to_s[/\A[A-Za-z]+/].to_s.downcase
        exact = DATA.keys.find { |code| code.casecmp?(tag.to_s) }
        exact || DATA.keys.find { |code| code == primary } || STAND_INS[primary]
      end

      # "key" → text with %{value}, of a code; a language of a country has those of its language.
      def words(code) =
        (@words ||= {})[code] ||= YAML.safe_load_file(File.join(__dir__, "words/#{code[/\A[a-z]+/]}.yml")).freeze
    end
  end
end
