# frozen_string_literal: true

module TileLoom
  module Scene
    # What a part of a page is to those who do not see it. role: :figure or :text; words: what stands for it (of a
    # figure); size_pt: of its type, by which the heading of a page is known (of a text); place: [x, y] of its upper
    # left corner in page millimetres.
    Tag =
      Struct.new(:role, :words, :size_pt, :place, keyword_init: true) do
        prepend Node

        def initialize(role:, words: nil, size_pt: nil, place: [0, 0]) = super
      end
  end
end
