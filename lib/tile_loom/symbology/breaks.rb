# frozen_string_literal: true

module TileLoom
  module Symbology
    # The ways to break a number into classes, each a file in breaks/: a class that answers breaks(sorted values, count)
    # with count + 1 rising bounds (or fewer, where the values do not allow as many).
    module Breaks
      extend Values::Kinds
    end
  end
end
