# frozen_string_literal: true

module TileLoom
  module Scene
    # An area to clip to: rings as flat [x, y, …] in page millimetres, inside by the even-odd rule.
    Outline = Struct.new(:runs, keyword_init: true) { prepend Node }
  end
end
