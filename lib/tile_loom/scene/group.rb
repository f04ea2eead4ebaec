# frozen_string_literal: true

module TileLoom
  module Scene
    # Nodes drawn together. clip: a Box in page mm, an Outline, or nil; layer: a Layer that readers of a
    # PDF can switch, or nil; name: what the group is, for those who look for it on the screen;
    # opacity: of the group as a whole, so that what overlaps inside it does not show through; tag: gives a Tag
    # or nil, asked where a form of output has a use for it; or nil.
    Group =
      Struct.new(:children, :clip, :layer, :name, :opacity, :tag, keyword_init: true) do
        prepend Node

        def initialize(children:, clip: nil, layer: nil, name: nil, opacity: 1.0, tag: nil) = super
      end
  end
end
