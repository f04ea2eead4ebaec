# frozen_string_literal: true

module TileLoom
  module Labelling
    # A label of one line whose letters follow a course, each with the middle of its foot on it.
    class CurvedSetting
      # So many letters share a footprint at the most.
      LETTERS_TOGETHER = 3

      attr_reader :text, :letters

      # course: of the feet; start: mm along it; spacing: mm added after each letter.
      def initialize(text, course, start, spacing: 0.0)
        @text = text
        at = start
        @letters =
          text.letters.map do |advance, run|
            x1, y1 = course.at(at)
            x2, y2 = course.at(at + advance)
            middle_x, middle_y = course.at(at + advance / 2)
            angle = Math.atan2(y2 - y1, x2 - x1)
            at += advance + spacing
            Scene::CurvedText::Letter.new(
              run,
              middle_x - Math.cos(angle) * advance / 2,
              middle_y - Math.sin(angle) * advance / 2,
              angle * 180 / Math::PI,
              advance
            )
          end
      end

      # How long a text is with so much more after each letter but the last.
      def self.length(text, spacing) = text.letters.sum(&:first) + spacing * [text.letters.length - 1, 0].max

      # Are no two neighbouring letters turned by more against one another?
      def smoother?(most_deg) =
        letters
          .each_cons(2)
          .all? do |one, other|
            turn = (one.rotation_deg - other.rotation_deg).abs % 360
            [turn, 360 - turn].min <= most_deg
          end

      def footprints(grow)
        line = text.lines.first
        letters.each_slice(LETTERS_TOGETHER).map { |few| footprint(few, line, grow) }
      end

      def nodes(halo: text.rule.halo.stroke)
        rule = text.rule
        [
          Scene::CurvedText.new(
            string: text.lines.first.string,
            letters: letters,
            size_pt: rule.size_pt,
            colour: rule.colour,
            halo: halo,
            face: rule.face
          )
        ]
      end

      private

      # A rectangle round a few letters, in the direction of the middle one.
      def footprint(few, line, grow)
        middle = few[few.length / 2]
        angle = middle.rotation_deg * Math::PI / 180
        cos, sin = Math.cos(angle), Math.sin(angle)
        left = top = Float::INFINITY
        right = bottom = -Float::INFINITY
        few.each do |letter|
          turn = letter.rotation_deg * Math::PI / 180 - angle
          c, s = Math.cos(turn), Math.sin(turn)
          dx, dy = letter.x - middle.x, letter.y - middle.y
          x, y = dx * cos + dy * sin, dy * cos - dx * sin
          # Its corners: the start and the end of its foot, each moved up to its top and down to its bottom.
          end_x, end_y = x + letter.advance * c, y + letter.advance * s
          above, below = -line.top * s, -line.bottom * s
          low, high = (x < end_x) ? x : end_x, (x < end_x) ? end_x : x
          low += (above < below) ? above : below
          high += (above < below) ? below : above
          left = low if low < left
          right = high if high > right
          above, below = line.top * c, line.bottom * c
          low, high = (y < end_y) ? y : end_y, (y < end_y) ? end_y : y
          low += (above < below) ? above : below
          high += (above < below) ? below : above
          top = low if low < top
          bottom = high if high > bottom
        end
        Footprint.along(middle.x, middle.y, angle, left - grow, right + grow, top - grow, bottom + grow)
      end
    end
  end
end
