# frozen_string_literal: true

module TileLoom
  module Symbology
    # Colours of a ramp from its lower to its upper end. stepped: each stands by itself.
    ColourBar =
      Struct.new(:colours, :stepped, keyword_init: true) do
        # [red, green, blue] at a share of its length, 0…1: between two stops in equal steps of each.
        def at(share)
          rgb = colours.map { |colour| colour.delete_prefix("#").scan(/../).map(&:hex) }
          return rgb[[(share * rgb.length).floor, rgb.length - 1].min] if stepped
          place = share.clamp(0.0, 1.0) * (rgb.length - 1)
          low = [place.floor, rgb.length - 2].min
          return rgb.first if rgb.one?
          rgb[low].zip(rgb[low + 1]).map { |from, to| from + (to - from) * (place - low) }
        end
      end
  end
end
