# frozen_string_literal: true

module TileLoom
  module Scene
    # A place that leads elsewhere where the form of output knows links; nothing is drawn. ring: flat [x, y, …] in page
    # millimetres; sheet: number of the sheet that it leads to (0: the index sheet), or nil; address: a web address, or
    # nil; words: where it leads, as it is read out.
    Link =
      Struct.new(:ring, :sheet, :address, :words, keyword_init: true) do
        prepend Node

        def initialize(ring:, sheet: nil, address: nil, words: nil) = super
      end

    # The number that stands for the index sheet.
    Link::INDEX_SHEET = 0
  end
end
