# frozen_string_literal: true

require "yaml"

module TileLoom
  # The catalogue of what is said when something is refused or fails: one file, code → sentence, by room.
  module Sentences
    FILE = File.join(__dir__, "sentences.yml")

    module_function

    # "room.code" → sentence with %{value} for each of its values.
    def all =
      @all ||=
        YAML
          .safe_load_file(FILE)
          .flat_map { |room, list| list.map { |code, sentence| ["#{room}.#{code}", sentence] } }
          .to_h
          .freeze

    # "A1, B1, C1 and 4 more"
    def listed(names, most)
      "#{names.first(most).join(", ")}#{" and #{names.length - most} more" if names.length > most}"
    end

    # values: Symbol → anything that has a text. Raises KeyError for an unknown code or a value that is lacking.
    def of(code, values = {}) = format(all.fetch(code), values)
  end
end
