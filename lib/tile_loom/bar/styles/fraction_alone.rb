# frozen_string_literal: true

module TileLoom
  module Bar
    module Styles
      # A light bar with the ratio inside and its marks at the edges.
      class FractionAlone < Style
        kind "fraction_alone", "fraction alone", rank: 7

        # Room above and below the text, and the length of the marks, as shares of the height.
        ROOM, MARKS = 1.7, 0.25

        def height = [bar_height, @look.face.cap_height_mm(@look.size_pt) * ROOM].max

        def nodes(xs, _zero, top)
          mark = height * MARKS
          width = @look.face.width_mm(@look.ratio, @look.size_pt)
          inside = ((xs.first + xs.last - width) / 2 - mark)..((xs.first + xs.last + width) / 2 + mark)
          marks =
            xs[1..-2]
              .flat_map { |x| [[x, top, x, top + mark], [x, top + height - mark, x, top + height]] }
              .reject { |x, *| inside.cover?(x) }
          text =
            Scene::Text.new(
              x: (xs.first + xs.last - width) / 2,
              y: top + (height + @look.face.cap_height_mm(@look.size_pt)) / 2,
              string: @look.ratio,
              face: @look.face,
              size_pt: @look.size_pt,
              colour: @look.colour
            )
          [frame(xs, top, height), *(marks.empty? ? [] : [lines(marks)]), text]
        end
      end
    end
  end
end
