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

        def form(number) = "X#{number}"

        # content: the SHA-256 of a picture's file.
        def image(content) = "I#{content[0, 20]}"

        def opacity(percent) = "O#{percent}"
      end
    end
  end
end
