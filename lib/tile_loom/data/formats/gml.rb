# frozen_string_literal: true

module TileLoom
  module Data
    module Formats
      # Geography Markup Language, ISO 19136.
      class Gml < Format
        kind "gml", "GML", rank: 6
        reads ".gml", drivers: %w[GML]
      end
    end
  end
end
