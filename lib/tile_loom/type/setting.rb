# frozen_string_literal: true

module TileLoom
  module Type
    # Sets text in a box: breaks it into lines at spaces, places the lines, gives scene texts.
    class Setting
      # box: page mm; align: left, centre, right, justify; anchor: top, middle, bottom; leading: line pitch
      # over size; tracking_pt: added after each character.
      def initialize(face:, size_pt:, colour: "#1f2a30", align: "left", anchor: "top", leading: 1.2, tracking_pt: 0.0)
        @face, @size_pt, @colour, @align, @anchor, @leading, @tracking_pt =
          face,
          size_pt,
          colour,
          align,
          anchor,
          leading,
          tracking_pt
      end

      def lines(string, width_mm) = broken(string, width_mm).map(&:first)

      def width_mm(line) = width(line)

      def pitch_mm = @size_pt * @leading * Face::MM_PER_PT

      # Do all lines stand in the box, none too long and none below its edge? A hair is forgiven.
      def fits?(string, box)
        rows = lines(string, box.width)
        rows.length * pitch_mm <= box.height + 1e-6 && rows.all? { |row| width(row) <= box.width + 1e-6 }
      end

      # Scene texts for the string in the box.
      def set(string, box)
        rows = broken(string, box.width)
        top = top(box, pitch_mm * rows.length)
        # The baseline sits so that the line's ascent and descent share the leading evenly.
        ascent = @face.ascent_mm(@size_pt)
        descent = @face.descent_mm(@size_pt)
        first = (pitch_mm - (ascent - descent)) / 2 + ascent
        rows.each_with_index.filter_map do |(row, last), index|
          next if row.empty?
          Scene::Text.new(
            x: start_of(row, box),
            y: top + first + index * pitch_mm,
            string: row,
            face: @face,
            size_pt: @size_pt,
            colour: @colour,
            tracking_pt: @tracking_pt,
            word_pt: word_pt(row, last, box)
          )
        end
      end

      private

      def width(row) = @face.width_mm(row, @size_pt, tracking_pt: @tracking_pt)

      def top(box, height)
        case @anchor
        when "middle"
          box.min_y + (box.height - height) / 2
        when "bottom"
          box.max_y - height
        else
          box.min_y
        end
      end

      def start_of(row, box)
        case @align
        when "centre"
          box.min_x + (box.width - width(row)) / 2
        when "right"
          box.max_x - width(row)
        else
          box.min_x
        end
      end

      # What each space of a justified line gets on top; the last line of a paragraph stays as it is.
      def word_pt(row, last, box)
        spaces = row.count(" ")
        return 0.0 if @align != "justify" || last || spaces.zero?
        [(box.width - width(row)) / spaces / Face::MM_PER_PT, 0.0].max
      end

      # [line, is it the last of its paragraph?]
      def broken(string, width_mm)
        string
          .split("\n", -1)
          .flat_map do |paragraph|
            rows = break_paragraph(paragraph, width_mm)
            rows.each_with_index.map { |row, index| [row, index == rows.length - 1] }
          end
      end

      def break_paragraph(paragraph, width_mm)
        rows = [+""]
        paragraph
          .split(" ")
          .each do |word|
            candidate = rows.last.empty? ? word : "#{rows.last} #{word}"
            if rows.last.empty? || width(candidate) <= width_mm
              rows[-1] = candidate
            else
              rows << word
            end
          end
        rows
      end
    end
  end
end
