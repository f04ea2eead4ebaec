# frozen_string_literal: true

module TileLoom
  module Scene
    # Nodes drawn together. clip: a Box in page mm, or nil; layer: a Layer that readers of a PDF can
    # switch, or nil; name: what the group is, for those who look for it on the screen.
    Group = Struct.new(:children, :clip, :layer, :name, keyword_init: true)
  end
end
