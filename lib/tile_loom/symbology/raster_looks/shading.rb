# frozen_string_literal: true

module TileLoom
  module Symbology
    module RasterLooks
      # Relief in greys, alone or (laid on by multiplying) over what is below.
      class Shading < RasterLook
        kind "shading", "shading", rank: 4
        take Relief.parts
        part :strength, number(0..100), default: 100, about: "In per cent: how dark the shades are."
        part :legend, flag, default: false, about: "Does a legend list it?"

        def reach = 1

        # A relief is smooth, as a photograph is.
        def lossless?(_facts) = false

        def relief = Relief.new(given.slice(*Relief.parts.each_value.map(&:key)), path: path)

        def worked(pixels, slope, _facts) = relief.shade(pixels[0].cast(:float), slope)

        def colours(bands, _facts)
          bands = (bands - 255) * (strength / 100.0) + 255 if strength < 100
          bands.rint.cast(:uchar)
        end

        GREY = MapSymbol.new({"fill" => {"colour" => "#b0b0b0"}})

        def listed(layer, _facts)
          legend? ? [entry(layer, "shading", title: layer.title, shape: :area, symbol: GREY)] : []
        end
      end
    end
  end
end
