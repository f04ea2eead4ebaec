# frozen_string_literal: true

module TileLoom
  module Furniture
    # Elements with an area behind what they show: a colour or a gradient, a line round it, its corners rounded alike or
    # each by itself, a shadow below it.
    module Backed
      CORNERS = Values::List.new(Values::Types::LENGTH_MM, least: 4, most: 4)

      def self.included(element)
        element.part(:fill, Scene::Fill::TYPE)
        element.part(:gradient, Gradient.type, about: "In place of the area colour.")
        element.part(:shadow, Shadow.type)
      end

      # Of those that are boxes.
      module Cornered
        def self.included(element)
          element.part(:corner_mm, Values::Types::LENGTH_MM, default: 0)
          element.part(
            :corners_mm,
            CORNERS,
            about: "Each corner's own radius: upper left, upper right, lower right, lower left."
          )
        end

        private

        # Scene nodes behind its box, or a part of it.
        def backing(box) = backed([outline(box, corners_mm || corner_mm)], box)
      end

      private

      def backed(rings, box)
        filled = gradient ? gradient.fill(box) : fill
        return [] unless filled || stroke || shadow
        [*shadow&.nodes(rings), *((filled || stroke) ? painted(rings, filled, stroke) : [])]
      end
    end
  end
end
