# frozen_string_literal: true

module TileLoom
  module Symbology
    module Labels
      # Where the labels of lines may stand.
      class LinePlacement < Values::Value
        define "label_line_places"
        part :course,
          choice(curved: "along the course", straight: "straight, at the line’s angle", level: "level"),
          default: "curved",
          about: "Along the line's course glyph by glyph, straight in its direction, or level."
        part :position,
          choice(above: "above the line", below: "below the line", either: "above, else below", on: "on the line"),
          default: "above",
          about: "Of the line, as the reader has it; either: above where there is room, else below."
        part :gap_mm, number(0..50), default: 0.5, about: "Between the line and the text beside it."
        part :repeat_mm, number(10..2000), default: 140, about: "Along the line it has one label in so much."
        part :sharpest_deg, number(5..90), default: 25, about: "No two neighbouring letters are turned by more."
        part :breaks, flag, default: false, about: "Is the line interrupted where its label stands on it?"
        part :top,
          choice(reader: "upright for the reader", uphill: "uphill, by the values of the lines beside it"),
          default: "reader",
          about: "Upright for the reader, or with the top of the text uphill, as contour values may stand."

        def on? = position == "on"

        def uphill? = top == "uphill"

        def scaled(factor) = reckoned(gap_mm: gap_mm * factor)
      end
    end
  end
end
