# frozen_string_literal: true

module TileLoom
  module Labelling
    # The places round a point (or what is as small as one) in which its label could stand.
    class PointCandidates
      # What each place costs more than the one before it in the order of preference.
      STEP = 4
      # What a leader line costs, and each mm of it.
      LEADER, LEADER_MM = 60, 3
      DIAGONAL = Math.sqrt(0.5)
      # A leader line is no shorter.
      LEAST_LEADER_MM = 1.0
      # Where moved labels are tried: shares of the longest leader, in directions of the page.
      RINGS = [0.35, 0.65, 1.0].freeze
      DIRECTIONS = [-45, -135, 45, 135, 0, 180, -90, 90, -22, -158, 22, 158].freeze

      # text: SetText; x, y: page mm; half_x, half_y: of what is drawn there; spec: Symbology::Labels::PointPlacement;
      # base: what all of them cost.
      def initialize(text, x, y, half_x, half_y = half_x, spec:, base: 0)
        @text, @x, @y, @half_x, @half_y, @spec, @base = text, x, y, half_x, half_y, spec, base
        @gap = spec.gap_mm
      end

      # Candidate list beside the point: all, the cheapest, the others.
      def beside = best + rest

      def best = [place(@spec.positions.first, 0)]

      def rest = @spec.positions.each_with_index.drop(1).map { |position, index| place(position, index) }

      # Candidate list of those that are moved away, with leader lines.
      def moved
        return [] unless @spec.leader?
        RINGS.flat_map do |share|
          distance = @spec.leader_mm * share
          DIRECTIONS.each_with_index.filter_map do |degrees, index|
            led(distance, degrees, @base + LEADER + (distance * LEADER_MM).round + index)
          end
        end
      end

      private

      def place(position, index)
        left, baseline, align = start(position)
        Candidate.new(@base + index * STEP, LevelSetting.new(@text, left, baseline, align: align))
      end

      # [left, first baseline, align] of the text in a position.
      def start(position)
        gap = @gap
        width, cap, depth = @text.width, @text.cap, @text.depth
        across, along = @half_x + gap, @half_y + gap
        case position
        when "right"
          [@x + across, middle(cap, depth), :left]
        when "left"
          [@x - across - width, middle(cap, depth), :right]
        when "above"
          [@x - width / 2, @y - along - depth, :centre]
        when "below"
          [@x - width / 2, @y + along + cap, :centre]
        when "centred"
          [@x - width / 2, middle(cap, depth), :centre]
        else
          diagonal(position, width, cap, depth)
        end
      end

      def middle(cap, depth) = @y + (cap - depth) / 2

      # A corner of the text lies on the diagonal.
      def diagonal(position, width, cap, depth)
        gap = @gap
        across, along = @half_x * DIAGONAL + gap, @half_y * DIAGONAL + gap
        left = position.end_with?("right") ? @x + across : @x - across - width
        baseline = position.start_with?("upper") ? @y - along - depth : @y + along + cap
        [left, baseline, position.end_with?("right") ? :left : :right]
      end

      # A text whose nearest side lies so far from the symbol's edge, in a direction of the page.
      def led(distance, degrees, cost)
        cos, sin = Math.cos(degrees * Math::PI / 180), Math.sin(degrees * Math::PI / 180)
        from_x, from_y = @x + cos * (@half_x + 0.2), @y + sin * (@half_y + 0.2)
        to_x, to_y = @x + cos * (@half_x + distance), @y + sin * (@half_y + distance)
        return nil if Math.hypot(to_x - from_x, to_y - from_y) < LEAST_LEADER_MM
        width, cap, depth = @text.width, @text.cap, @text.depth
        high = cap + depth
        room = 0.5
        left, baseline =
          if cos.abs >= 0.35
            [cos.positive? ? to_x + room : to_x - room - width, to_y - high / 2 + cap]
          else
            [to_x - width / 2, sin.positive? ? to_y + room + cap : to_y - room - depth]
          end
        align =
          if cos.abs < 0.35
            :centre
          else
            (cos.positive? ? :left : :right)
          end
        Candidate.new(cost, LevelSetting.new(@text, left, baseline, align: align), [from_x, from_y, to_x, to_y])
      end
    end
  end
end
