# frozen_string_literal: true

module TileLoom
  module Type
    # A paragraph: [string, TextStyle] pieces in reading order. align: its own, or nil for that of the text; mark: the
    # sign or the number before it in a list, or nil; level: how deep in lists it stands, from 0.
    Paragraph =
      Struct.new(:pieces, :align, :mark, :level, keyword_init: true) do
        def initialize(pieces:, align: nil, mark: nil, level: 0) = super

        # Paragraph list of a text in one style, one for each of its lines.
        def self.plain(string, style) = string.split("\n", -1).map { |line| new(pieces: [[line, style]]) }

        def to_s = pieces.map(&:first).join
      end
  end
end
