# frozen_string_literal: true

module TileLoom
  module Symbology
    module Labels
      # A word and what stands for it where the full text has no room.
      class Abbreviation < Values::Value
        define "abbreviation"
        identified
        part :full, text(least: 1, most: 80), required: true
        part :short, text(most: 80), required: true

        # In whole words alone.
        def applied(string) = string.gsub(/(?<![[:alnum:]])#{Regexp.escape(full)}(?![[:alnum:]])/) { short }
      end
    end
  end
end
