# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # How a grid's lines are labelled: where, what is written, in what type.
    class LabelSpec < Values::Value
      define
      part :sides, list(choice(*%w[top right bottom left]), unique: true), required: true
      part :position, choice(outside: "outside", inside: "on the lines"), default: "outside"
      part :orientation,
        choice(along_edge: "along the edge", level: "level", along_line: "along the line"),
        default: "along_edge",
        about: "Along the side, level, or along the line."
      part :families,
        choice(main: "main family", both: "both families"),
        default: "main",
        about: "A side has the labels of the lines that cross it more steeply, or of both."
      part :form,
        choice(full: "full", short: "shortened, full at the ends"),
        default: "full",
        about: "In full, or short with the first and last in full."
      part :notation,
        choice(d: "D°", dm: "D°M′", dms: "D°M′S″", decimal: "D.d°"),
        about:
          "Degrees, degrees and minutes, degrees, minutes and seconds, or decimal degrees; as the interval needs it where none is given."
      part :decimals, whole(0..9), about: "As many as keep a label within 0.05 mm of its line where none are given."
      part :hemisphere,
        choice("letters", "signs"),
        about: "Angles have letters and lengths signs where nothing is given."
      part :zeros, flag, default: false, about: "Leading zeros of degrees: 007°."
      part :thousands,
        choice(
          thin: "402 000",
          language: "as the book's language",
          comma: "402,000",
          point: "402.000",
          none: "402000"
        ),
        default: "thin"
      part :unit, flag, default: false, about: "The unit after each length."
      part :corners, flag, default: false, about: "The coordinates of the frame's corners in full."
      part :label_gap_mm, Values::Types::LENGTH_MM, default: 1.2
      part :line_gap_mm, number(0..20), about: "Lines keep so clear of labels that stand on them."
      part :face, Values::Types::FACE, default: "sans"
      part :size_pt, Values::Types::SIZE_PT, default: 6
      part :colour, Values::Types::COLOUR, default: "#1f2a30"
      part :halo, Scene::Halo::TYPE

      def inside? = position == "inside"

      def short? = form == "short"

      def both? = families == "both"

      # In full, with as many decimals as it needs.
      def in_full = reckoned(form: "full", decimals: nil)
    end
  end
end
