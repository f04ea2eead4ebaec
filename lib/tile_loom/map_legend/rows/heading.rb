# frozen_string_literal: true

module TileLoom
  module MapLegend
    module Rows
      # A heading above the rows down to the next one; it goes where they go.
      class Heading < Row
        kind "heading", "Heading", rank: 2
        part :title, text(least: 1, most: 500), required: true

        def self.of(title) = new({"kind" => key, "title" => title})

        def heading? = true

        def name(_entries) = title

        def block(_placed, manner, width) =
          manner.paragraph(title, width, manner.heading, before_mm: manner.heading_gap_mm, keeps: true)
      end
    end
  end
end
