# frozen_string_literal: true

module TileLoom
  module Scene
    # Nodes drawn together. clip: a Box in page mm, an Outline, or nil; layer: a Layer that readers of a
    # PDF can switch, or nil; name: what the group is, for those who look for it on the screen;
    # opacity: of the group as a whole, so that what overlaps inside it does not show through; blend: how it is laid on
    # what lies below (ISO 32000-2, 11.3.5), "normal" or "multiply"; tag: gives a Tag
    # or nil, asked where a form of output has a use for it; or nil; incomplete: is there more to come in a moment, so
    # that a screen should ask again?
    Group =
      Struct.new(:children, :clip, :layer, :name, :opacity, :tag, :blend, :incomplete, keyword_init: true) do
        prepend Node

        def initialize(
          children:,
          clip: nil,
          layer: nil,
          name: nil,
          opacity: 1.0,
          tag: nil,
          blend: "normal",
          incomplete: false
        ) = super

        # Is it painted by itself before it is laid on the page?
        def as_one? =
          opacity < 1 || blend != "normal" || children.any? { |child| child.is_a?(Group) && child.blend != "normal" }
      end
  end
end
