# frozen_string_literal: true

module TileLoom
  module Data
    module Formats
      # Geography Markup Language, ISO 19136.
      class Gml < Format
        kind "gml", "GML", rank: 6
        reads ".gml", drivers: %w[GML]

        def self.companions = %w[.gfs .xsd]
      end
    end
  end
end
