# frozen_string_literal: true

module TileLoom
  module Furniture
    # The kinds of elements, each a file in elements/.
    module Elements
      extend Values::Kinds
    end
  end
end
