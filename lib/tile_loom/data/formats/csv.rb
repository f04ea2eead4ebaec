# frozen_string_literal: true

module TileLoom
  module Data
    module Formats
      # A table of comma-separated values, RFC 4180.
      class Csv < Format
        kind "csv", "CSV", rank: 10
        reads ".csv", drivers: %w[CSV]
        writes ".csv", type: "text/csv", driver: "CSV"

        def self.table? = true

        def self.companions = %w[.csvt .prj]

        def self.open_options(columns = Columns.new) = columns.options

        def self.layer_options(shape:, **) = ["-lco", "GEOMETRY=AS_WKT", "-lco", "GEOMETRY_NAME=#{shape}"]
      end
    end
  end
end
