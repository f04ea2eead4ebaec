# frozen_string_literal: true

module TileLoom
  module Frames
    # How the cells of the index are shown over the ground of a frame.
    class Cells < Values::Value
      define "cells_shown"
      part :colour, Values::Types::COLOUR, default: "#8c2f39", about: "Of their lines and names."
      part :width_mm, number(0..20), default: 0.25, about: "Of their lines; 0 for none."
      part :fill, Scene::Fill::TYPE
      part :labels,
        choice(names: "names", numbers: "numbers", both: "numbers and names", none: "none"),
        default: "names",
        about: "What is written in them: the names of the sheets, their numbers, or both."
      part :face, Values::Types::FACE, default: "sans-bold"
      part :size_pt, Values::Types::SIZE_PT, about: "Without it as large as the cells take, up to 14 pt."
      part :halo, Values::Types::COLOUR, default: "#fffdf6"
      part :first,
        choice(cells: "labels of cells come first", features: "labels of features come first"),
        default: "cells",
        about: "Which labels have the room where both want it: those of the cells, or those of the features."
      part :this_sheet, flag, default: true, about: "Is the sheet's own cell set off?"
      part :this_colour, Values::Types::COLOUR, default: "#1f6f78"
    end
  end
end
