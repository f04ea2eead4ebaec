# frozen_string_literal: true

module TileLoom
  module Scene
    # One line of text that starts at (x, y) on its baseline, in page millimetres; face: a Type::Face;
    # size_pt; turned clockwise by rotation_deg about its start; halo: a Stroke drawn under it, or nil;
    # tracking_pt: added after each character; word_pt: added to each space (for justified lines).
    Text =
      Struct.new(
        :x,
        :y,
        :string,
        :face,
        :size_pt,
        :colour,
        :rotation_deg,
        :halo,
        :tracking_pt,
        :word_pt,
        keyword_init: true
      ) do
        include Node

        # Written out, as a sheet has thousands: passing them on takes four times as long.
        def initialize(
          x:,
          y:,
          string:,
          face:,
          size_pt:,
          colour: "#1f2a30",
          rotation_deg: 0.0,
          halo: nil,
          tracking_pt: 0.0,
          word_pt: 0.0
        )
          self.x, self.y, self.string, self.face, self.size_pt = x, y, string, face, size_pt
          self.colour, self.rotation_deg, self.halo = colour, rotation_deg, halo
          self.tracking_pt, self.word_pt = tracking_pt, word_pt
          freeze
        end

        # Those among nodes, in groups as well.
        def self.among(nodes) = nodes.flat_map { |node| node.is_a?(Group) ? among(node.children) : [node].grep(self) }

        # Its corners on the page, flat: from the baseline up to the height of capitals, turned as it is.
        def corners
          width, cap = face.width_mm(string, size_pt), face.cap_height_mm(size_pt)
          corners = Geometry::Box.new(x, y - cap, x + width, y).corners
          rotation_deg.zero? ? corners : Geometry::Affine.turn(rotation_deg, x, y).map(corners)
        end

        # One whose capitals stand about a place: [x, y] is the middle of its width and of their height.
        def self.about((x, y), string:, face:, size_pt:, **more) =
          new(
            x: x - face.width_mm(string, size_pt) / 2,
            y: y + face.cap_height_mm(size_pt) / 2,
            string: string,
            face: face,
            size_pt: size_pt,
            **more
          )
      end
  end
end
