# frozen_string_literal: true

module TileLoom
  module Scene
    # A ground layer as a reader of the sheet knows it: it can be switched in a PDF.
    Layer = Struct.new(:id, :title, keyword_init: true) { prepend Node }
  end
end
