# frozen_string_literal: true

module TileLoom
  module MapLegend
    # The kinds of rows, each a file in rows/.
    module Rows
      extend Values::Kinds
    end
  end
end
