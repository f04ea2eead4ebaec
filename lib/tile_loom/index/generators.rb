# frozen_string_literal: true

module TileLoom
  module Index
    # The kinds of index, each a file in generators/ that declares itself, its settings and how it makes cells.
    module Generators
      extend Values::Kinds
    end
  end
end
