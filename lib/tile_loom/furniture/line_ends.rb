# frozen_string_literal: true

module TileLoom
  module Furniture
    # What a line can end in, each a file in line_ends/.
    module LineEnds
      extend Values::Kinds
    end
  end
end
