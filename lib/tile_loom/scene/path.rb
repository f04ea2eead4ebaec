# frozen_string_literal: true

module TileLoom
  module Scene
    # Lines and areas in page millimetres. runs: flat [x, y, …] arrays, drawn together with one paint;
    # closed: every run is a ring. Areas fill by the even-odd rule, so holes stay open.
    Path = Struct.new(:runs, :closed, :stroke, :fill, keyword_init: true) { prepend Node }
  end
end
