# frozen_string_literal: true

module TileLoom
  module Data
    module Formats
      # FlatGeobuf.
      class Fgb < Format
        kind "fgb", "FlatGeobuf", rank: 7
        reads ".fgb", drivers: %w[FlatGeobuf]

        def self.first_number = 1
      end
    end
  end
end
