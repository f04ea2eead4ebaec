# frozen_string_literal: true

module TileLoom
  module Scene
    # A feature for readers that show what a thing on the map is; nothing is drawn. runs: flat [x, y, …] in page
    # millimetres; shape: :point, :line or :area; properties: {field → value}; title: what it is called.
    Thing = Struct.new(:runs, :shape, :title, :properties, keyword_init: true) { prepend Node }
  end
end
