# frozen_string_literal: true

module TileLoom
  module Furniture
    # Where an element lies: tied to edges of the live area by distances, or stretched between them.
    # Of left_mm, width_mm, right_mm two are given; of top_mm, height_mm, bottom_mm likewise.
    class Place < Values::Value
      define "place", about: "Distances from the edges of the live area (the page inside margins and gutter), or sizes."
      part :left_mm, number(-5000..5000)
      part :right_mm, number(-5000..5000)
      part :top_mm, number(-5000..5000)
      part :bottom_mm, number(-5000..5000)
      part :width_mm, number(0..5000)
      part :height_mm, number(0..5000)

      # The box in page mm within a live area; Refusal when nothing is left of it. least: what each side must be at
      # least, or nil where it must be greater than zero.
      def within(area, least: nil)
        left, width = span(left_mm, width_mm, right_mm, area.min_x, area.max_x)
        top, height = span(top_mm, height_mm, bottom_mm, area.min_y, area.max_y)
        unless least ? (width >= least && height >= least && width + height > 0) : (width.positive? && height.positive?)
          size = [width, height].map { |side| Units::Number.plain(side, decimals: 1) }.join(" × ")
          raise Refusal.new("furniture.no_room", size: size, at: path)
        end
        Geometry::Box.at(left, top, width, height)
      end

      # The same place with its box where it is wanted: what was tied to an edge stays tied to it, what
      # was stretched stays stretched. Returns settings for the book document, to a micrometre.
      def moved(area, box)
        across = ties("left_mm", "width_mm", "right_mm", box.min_x - area.min_x, box.width, area.max_x - box.max_x)
        down = ties("top_mm", "height_mm", "bottom_mm", box.min_y - area.min_y, box.height, area.max_y - box.max_y)
        across.merge(down)
      end

      # A place for a box that had none: tied to the edges that are nearer.
      def self.nearest(area, box)
        across =
          (box.centre[0] <= area.centre[0]) ? {"left_mm" => 0, "width_mm" => 1} : {"right_mm" => 0, "width_mm" => 1}
        down =
          if box.centre[1] <= area.centre[1]
            {"top_mm" => 0, "height_mm" => 1}
          else
            {"bottom_mm" => 0, "height_mm" => 1}
          end
        new(across.merge(down)).moved(area, box)
      end

      private

      def ties(near, size, far, before, length, after)
        if given[size].nil?
          {near => before, far => after}
        elsif given[near]
          {near => before, size => length}
        else
          {size => length, far => after}
        end.transform_values { |value| value.round(3) }
      end

      def span(start, length, finish, low, high)
        if start && length
          [low + start, length]
        elsif length
          [high - (finish || 0.0) - length, length]
        else
          first = low + (start || 0.0)
          [first, high - (finish || 0.0) - first]
        end
      end
    end
  end
end
