# frozen_string_literal: true

module TileLoom
  module Output
    module Pdf
      # Resource names in content streams. They follow from what they name alone, so that pages made by
      # different processes agree.
      module Names
        module_function

        def layer(id) = "L#{id.gsub(/[^A-Za-z0-9]/) { |char| format("x%02x", char.ord) }}"

        def font(key) = "F#{key.gsub(/[^A-Za-z0-9]/, "x")}"

        # head: what a Shading is written from.
        def shading(head) = "H#{Digest::SHA256.hexdigest(JSON.generate(head))[0, 16]}"

        # The graphics state in which a shading of its key is as opaque as it should be.
        def mask(shading) = "M#{shading}"

        def form(number) = "X#{number}"

        # content: the SHA-256 of a picture's file; width: in px, of one that is reduced.
        def image(content, width = nil) = "I#{content[0, 20]}#{"w#{width}" if width}"

        # A graphics state: opacity in per cent, over: printed over what lies below; blend: how it is laid on it.
        def state(percent, over = false, blend = "normal") =
          "O#{percent}#{"over" if over}#{blend unless blend == "normal"}"
      end
    end
  end
end
