# frozen_string_literal: true

module TileLoom
  module Bar
    # How a bar is drawn: each style is a file in styles/ that declares itself and answers `height` and
    # `nodes(xs, zero, top)`.
    module Styles
      extend Values::Kinds

      # style: a Style; look: what the element gives of type and colour.
      def self.build(style, look) = of(style.style).new(style, look)
    end
  end
end
