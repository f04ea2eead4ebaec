# frozen_string_literal: true

module TileLoom
  module Bar
    module Styles
      # One bar of dark and light divisions.
      class Chequered < Style
        kind "chequered", "chequered", rank: 1

        def nodes(xs, zero, top) = [frame(xs, top, height), *filled(dark(cells(xs, top, height), zero))]
      end
    end
  end
end
