# frozen_string_literal: true

module TileLoom
  module Ground
    # One feature of a layer: its identity, its geometry as well-known binary in the book's reference,
    # its attributes by name.
    Feature = Struct.new(:id, :wkb, :attributes, keyword_init: true)
  end
end
