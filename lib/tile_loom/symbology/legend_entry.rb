# frozen_string_literal: true

module TileLoom
  module Symbology
    # A row of a legend: a title beside a Symbol, or beside a ColourBar.
    LegendEntry = Struct.new(:title, :symbol, :bar, keyword_init: true)
  end
end
