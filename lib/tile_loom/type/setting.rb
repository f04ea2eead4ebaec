# frozen_string_literal: true

module TileLoom
  module Type
    # Sets a text of one style in a box: a TextBlock for those that need no more.
    class Setting
      # box: page mm; align: left, centre, right, justify; anchor: top, middle, bottom; leading: line pitch
      # over size; tracking_pt: added after each character.
      def initialize(face:, size_pt:, colour: "#1f2a30", align: "left", anchor: "top", leading: 1.2, tracking_pt: 0.0)
        @style = TextStyle.new(face: face, size_pt: size_pt, colour: colour, tracking_pt: tracking_pt)
        @manner = {align: align, anchor: anchor, leading: leading}
      end

      def lines(string, width_mm) = block(string).lines(width_mm).map(&:to_s)

      def width_mm(line) = @style.width_mm(line)

      def pitch_mm = @style.size_pt * @manner[:leading] * Face::MM_PER_PT

      # Do all lines stand in the box, none too long and none below its edge? A hair is forgiven.
      def fits?(string, box) = block(string).fits?(box)

      # Scene texts for the string in the box.
      def set(string, box) = block(string).set(box)

      # The TextBlock of a string, for those who measure it before they set it.
      def block(string) = TextBlock.plain(string, @style, **@manner)
    end
  end
end
