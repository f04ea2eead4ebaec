# frozen_string_literal: true

module TileLoom
  module Symbology
    module Labels
      # What was done to one label by hand: where it stands, how it is turned, what it says, or that it is hidden.
      # Features are known by a field that tells them apart, so that it stays with them when new data come.
      class ByHand < Values::Value
        place = Values::List.new(Values::Number.new, least: 2, most: 2)

        define "label_by_hand"
        identified
        part :layer, Values::Types::ID, required: true
        part :rule, Values::Types::ID, required: true, about: "The label rule that it is of."
        part :feature,
          fields(
            field: text(least: 1, most: 200),
            value: text(most: 1000),
            id: text(most: 200),
            text: text(most: 1000)
          ),
          required: true,
          about:
            "The feature: by the value of a field that tells features apart, by its number, or, of parts that belong together, by their text."
        part :number, whole(0..1_000_000), default: 0, about: "Of several labels along a line which one, from 0."
        part :sheet,
          text(most: 200),
          about: "On the sheet of this name alone; without it wherever the feature is shown."
        part :offset_mm, place, about: "Of a point: its middle from the point, in mm of the page, y down."
        part :at, place, about: "Of a line or an area: where its middle lies, in the book's CRS."
        part :rotation_deg, number(-360..360), about: "Clockwise on the page; a label of a line is straight then."
        part :hidden, flag, default: false
        part :text, text(most: 1000), about: "In place of the label's text; a new line begins another."

        # Has it a place of its own?
        def placed? = !!(offset_mm || at)

        def of?(feature, string)
          if self.feature[:field]
            feature.attributes[self.feature[:field]].to_s == self.feature[:value].to_s
          elsif self.feature[:text]
            string == self.feature[:text]
          else
            feature.id.to_s == self.feature[:id]
          end
        end
      end
    end
  end
end
