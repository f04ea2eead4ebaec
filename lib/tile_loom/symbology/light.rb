# frozen_string_literal: true

module TileLoom
  module Symbology
    # A light that shades relief.
    class Light < Values::Value
      define "light", about: "A light that shades relief."
      part :azimuth_deg, number(0..360), default: 315, about: "Where it comes from, clockwise from grid north."
      part :altitude_deg, number(0..90), default: 45, about: "Above the horizon."
      part :weight, number(above: 0, most: 100), default: 1, about: "Its share among several."
    end
  end
end
