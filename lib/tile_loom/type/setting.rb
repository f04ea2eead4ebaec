# frozen_string_literal: true

module TileLoom
  module Type
    # Sets text in a box: breaks it into lines at spaces, places the lines, gives scene texts.
    class Setting
      # box: page mm; align: left, centre, right; anchor: top, middle, bottom; leading: line pitch over size.
      def initialize(face:, size_pt:, colour: "#1f2a30", align: "left", anchor: "top", leading: 1.2)
        @face, @size_pt, @colour, @align, @anchor, @leading = face, size_pt, colour, align, anchor, leading
      end

      def lines(string, width_mm)
        string.split("\n", -1).flat_map { |paragraph| break_paragraph(paragraph, width_mm) }
      end

      def pitch_mm = @size_pt * @leading * Face::MM_PER_PT

      # Scene texts for the string in the box.
      def set(string, box)
        rows = lines(string, box.width)
        height = pitch_mm * rows.length
        top = case @anchor
        when "middle" then box.min_y + (box.height - height) / 2
        when "bottom" then box.max_y - height
        else box.min_y
        end
        # The baseline sits so that the line's ascent and descent share the leading evenly.
        ascent = @face.ascent_mm(@size_pt)
        descent = @face.descent_mm(@size_pt)
        first = (pitch_mm - (ascent - descent)) / 2 + ascent
        rows.each_with_index.filter_map do |row, index|
          next if row.empty?
          Scene::Text.new(x: start_of(row, box), y: top + first + index * pitch_mm, string: row,
            face: @face, size_pt: @size_pt, colour: @colour)
        end
      end

      private

      def start_of(row, box)
        width = @face.width_mm(row, @size_pt)
        case @align
        when "centre" then box.min_x + (box.width - width) / 2
        when "right" then box.max_x - width
        else box.min_x
        end
      end

      def break_paragraph(paragraph, width_mm)
        rows = [+""]
        paragraph.split(" ").each do |word|
          candidate = rows.last.empty? ? word : "#{rows.last} #{word}"
          if rows.last.empty? || @face.width_mm(candidate, @size_pt) <= width_mm
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
