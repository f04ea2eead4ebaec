# frozen_string_literal: true

module TileLoom
  module Scene
    # One line of text that starts at (x, y) on its baseline, in page millimetres; face: a Type::Face;
    # size_pt; turned clockwise by rotation_deg about its start; halo: a Stroke drawn under it, or nil.
    Text = Struct.new(:x, :y, :string, :face, :size_pt, :colour, :rotation_deg, :halo, keyword_init: true) do
      def initialize(x:, y:, string:, face:, size_pt:, colour: "#1f2a30", rotation_deg: 0.0, halo: nil) = super
    end
  end
end
