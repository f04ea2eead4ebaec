# frozen_string_literal: true

module TileLoom
  module Type
    # Where a text goes on after a tab: at_mm from the left of its column, with its left side, its right side, its
    # middle or its decimal sign there; leader: what fills the way to it, repeated, or nothing.
    class TabStop < Values::Value
      define "tab_stop"
      part :at_mm, number(0..5000), required: true
      part :align, choice(left: "left", right: "right", centre: "centred", decimal: "decimal sign"), default: "left"
      part :leader, text(most: 3), default: ""

      # Without stops of its own, a text goes on at multiples of this.
      EVERY_MM = 12.5
      DECIMAL = /[.,](?=\d*\D*\z)/

      # The stop behind a place: the next of a list, else the next multiple.
      def self.after(x, stops)
        stops.select { |stop| stop.at_mm > x + HAIR_MM }.min_by(&:at_mm) ||
          multiple(((x + HAIR_MM) / EVERY_MM).floor + 1)
      end

      # Those of no text's own, each made once.
      def self.multiple(count) =
        (@multiples ||= {})[count] ||= new({"at_mm" => count.clamp(0, MOST_MULTIPLES) * EVERY_MM})
      private_class_method :multiple

      # Beyond that lie no pages.
      MOST_MULTIPLES = 400

      HAIR_MM = 0.01

      # Where pieces ([string, TextStyle]) of a width begin.
      def start(pieces, width)
        case align
        when "right"
          at_mm - width
        when "centre"
          at_mm - width / 2
        when "decimal"
          at_mm - before_sign(pieces)
        else
          at_mm
        end
      end

      private

      # Width of what stands before the decimal sign, of all where there is none.
      def before_sign(pieces)
        length = pieces.map(&:first).join.then { |string| string.index(DECIMAL) || string.length }
        pieces.sum do |string, style|
          taken = string[0, [length, 0].max].to_s
          length -= string.length
          taken.empty? ? 0.0 : style.width_mm(taken)
        end
      end
    end
  end
end
