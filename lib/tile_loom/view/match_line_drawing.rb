# frozen_string_literal: true

module TileLoom
  module View
    # A match line in a map frame: the line, and along it the name of the sheet that takes over.
    class MatchLineDrawing
      # How far the name stands from the line, and what it keeps from the ends.
      DISTANCE_MM = 0.8
      HALO_MM = 0.5
      # Of the link round it.
      ROOM_MM = 1.0

      # line: a Index::MatchLine; view: a FrameView; stroke: a Scene::Stroke.
      def initialize(line, view, stroke:, face:, size_pt:)
        @line, @view, @stroke, @face, @size_pt = line, view, stroke, face, size_pt
      end

      # A scene group, cut by the frame.
      def group =
        Scene::Group.new(children: [path, *name], clip: @view.frame, name: "match line #{@line.neighbour.name}")

      private

      def ends = @ends ||= upright(@view.to_page(@line.ends))

      # So that the name reads from the left, or upwards.
      def upright((x1, y1, x2, y2)) =
        (x1 < x2 - 1e-6 || ((x1 - x2).abs <= 1e-6 && y1 > y2)) ? [x1, y1, x2, y2] : [x2, y2, x1, y1]

      def path = Scene::Path.new(runs: [ends], closed: false, stroke: @stroke)

      # In the middle of the line, on this sheet's side of it.
      def name
        string = "Sheet #{@line.neighbour.name}"
        x1, y1, x2, y2 = ends
        length = Math.hypot(x2 - x1, y2 - y1)
        width = @face.width_mm(string, @size_pt)
        return [] if width > length
        along = [(x2 - x1) / length, (y2 - y1) / length]
        side = away(along)
        drop = (side == 1) ? DISTANCE_MM + @face.cap_height_mm(@size_pt) : -DISTANCE_MM
        x = (x1 + x2) / 2 - along[0] * width / 2 - along[1] * drop
        y = (y1 + y2) / 2 - along[1] * width / 2 + along[0] * drop
        text =
          Scene::Text.new(
            x: x,
            y: y,
            string: string,
            face: @face,
            size_pt: @size_pt,
            colour: @stroke.colour,
            rotation_deg: Math.atan2(along[1], along[0]) * 180 / Math::PI,
            halo: Scene::Stroke.new(colour: "#fffdf6", width_mm: HALO_MM)
          )
        [text, link(text, width)]
      end

      # Round the name and up to the line, as wide as a fingertip needs it at least.
      def link(text, width)
        height = @face.cap_height_mm(@size_pt)
        box = Geometry::Box.new(text.x, text.y - height, text.x + width, text.y).grow(ROOM_MM)
        Scene::Link.new(
          ring: Geometry::Affine.turn(text.rotation_deg, text.x, text.y).map(box.corners),
          sheet: @line.neighbour.number,
          words: text.string
        )
      end

      # On which side of the line (1: below it as it reads, -1: above) the middle of the frame lies.
      def away(along)
        x, y = @view.frame.centre
        (((x - ends[0]) * -along[1] + (y - ends[1]) * along[0]) >= 0) ? 1 : -1
      end
    end
  end
end
