# frozen_string_literal: true

module TileLoom
  module Data
    # One feature of a layer: its identity, its geometry as well-known binary in the book's reference,
    # its attributes by name. thinned: the geometry is as coarse already as whoever asked can see.
    Feature = Struct.new(:id, :wkb, :attributes, :thinned, keyword_init: true)
  end
end
