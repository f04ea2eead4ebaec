# frozen_string_literal: true

module TileLoom
  module Frames
    # The kinds of extents, each a file in extents/.
    module Extents
      extend Values::Kinds
    end
  end
end
