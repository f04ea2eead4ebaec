# frozen_string_literal: true

module TileLoom
  module Index
    # How much neighbours show of the same ground, one way: on paper ("8 mm", "0.5 in"), as a share of the
    # frame ("5 %"), or on the ground ("20 m").
    class Overlap
      PATTERN = /\A\s*(\d+(?:\.\d+)?)\s*(%|#{Values::GroundLength::UNITS})\s*\z/
      # As a part of the document.
      TEXT =
        Values::Named.new(
          "overlap",
          Values::Text.new(pattern: "^\\s*\\d{1,12}(\\.\\d{1,12})?\\s*(%|#{Values::GroundLength::UNITS})\\s*$")
        )
      ON_PAPER = %w[mm in pt].freeze
      # A frame must advance by at least this share of itself.
      LEAST_STEP = 0.1

      def initialize(text, path: "/index/overlap")
        match = PATTERN.match(text.to_s) or raise Refusal.new("index.overlap_unreadable", text: text, at: path)
        @value, @unit, @path = match[1].to_r, match[2], path
      end

      # In mm on paper, for a frame so wide (or high) at a scale.
      def mm(frame_mm, scale)
        wide =
          if @unit == "%"
            frame_mm * @value / 100
          elsif ON_PAPER.include?(@unit)
            Units::Length.new(@value, @unit).metres * 1000
          else
            Units::Length.new(@value, @unit).metres * 1000 / scale.to_r
          end.to_f
        return wide if wide <= frame_mm * (1 - LEAST_STEP)
        raise Refusal.new(
          "index.overlap_leaves_nothing",
          overlap_mm: Units::Number.plain(wide, decimals: 1),
          frame_mm: Units::Number.plain(frame_mm, decimals: 1),
          at: @path
        )
      end
    end
  end
end
