# frozen_string_literal: true

module TileLoom
  module Labelling
    # A label that has no room. layer, title: of the layer; string: its text; x, y: where it belongs, in page mm.
    UnplacedLabel = Struct.new(:layer, :title, :string, :x, :y)
  end
end
