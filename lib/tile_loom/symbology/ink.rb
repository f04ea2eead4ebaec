# frozen_string_literal: true

module TileLoom
  module Symbology
    # A colour of the book's palette as a printing press lays it down: shares of the four process colours, or an ink of
    # its own (a spot colour) with those that stand for it. Where the book draws in its screen colour, files for the
    # press carry these values.
    class Ink < Values::Value
      share = Values::Number.new(0..100)

      define "ink", about: "A colour of the palette: how it looks on the screen, and what is printed."
      identified
      part :colour, Values::Types::COLOUR, required: true, about: "How it looks on the screen."
      part :name, text(least: 1, most: 60), required: true
      part :cmyk,
        Values::List.new(share, least: 4, most: 4),
        required: true,
        about: "Cyan, magenta, yellow and black in per cent; for a spot colour, what stands in for it."
      part :spot, flag, default: false, about: "Is it a spot colour, called by its name on the plates?"
      part :overprint, flag, default: false, about: "Is it printed over what lies below, without a gap for it?"

      # 0…1 each.
      def shares = cmyk.map { |percent| percent / 100.0 }
    end
  end
end
