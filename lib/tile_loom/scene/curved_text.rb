# frozen_string_literal: true

module TileLoom
  module Scene
    # A line of text whose letters stand each by itself, as along a curve. string: all of it, in the order in which it
    # is read; letters: from left to right as it is read; face: a Type::FaceStack; halo: a Stroke drawn under it, or
    # nil.
    CurvedText =
      Struct.new(:string, :letters, :size_pt, :colour, :halo, :face, keyword_init: true) do
        prepend Node

        # Spacing is in the places of the letters.
        def tracking_pt = 0.0

        def word_pt = 0.0
      end

    # run: the Type::Run of its glyphs; (x, y): the start of its foot in page mm, turned clockwise about there; advance:
    # mm.
    CurvedText::Letter =
      Struct.new(:run, :x, :y, :rotation_deg, :advance) do
        def text = run.string

        def face = run.face

        # Moved by an affine map and turned with it.
        def moved(map, degrees)
          x, y = map.point(self.x, self.y)
          self.class.new(run, x, y, rotation_deg + degrees, advance)
        end
      end
  end
end
