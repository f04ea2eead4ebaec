# frozen_string_literal: true

module TileLoom
  module Symbology
    # A class of a raster: a value, or those from one up to below another, with a title and a colour.
    class RasterClass < Values::Value
      define "raster_class",
        about: "A value, or the values from one up to below another.",
        oneOf: [{"required" => ["value"]}, {"required" => ["from"]}, {"required" => ["to"]}]
      identified
      part :value, whole(-2_147_483_648..2_147_483_647)
      part :from, number(-1e12..1e12)
      part :to, number(-1e12..1e12)
      part :title, text(most: 200), default: ""
      part :colour, Values::Types::COLOUR, required: true
      part :hidden, flag, default: false, about: "It is transparent, and no legend lists it."

      # From, and up to below.
      def range = value ? [value, value + 1] : [from || -Float::INFINITY, to || Float::INFINITY]

      # By what it is known among the classes of its layer.
      def key = value ? "value #{value}" : "from #{from} to #{to}"

      def holds?(number) = number >= range[0] && number < range[1]

      def rgb = colour.delete_prefix("#").scan(/../).map(&:hex)

      private

      def settle
        return unless from && to && from >= to
        raise Refusal.new(
          "symbology.raster_class_empty",
          from: Units::Number.plain(from, decimals: 4),
          to: Units::Number.plain(to, decimals: 4),
          at: "#{path}/to"
        )
      end
    end
  end
end
