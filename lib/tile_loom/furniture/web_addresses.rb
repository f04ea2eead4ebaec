# frozen_string_literal: true

module TileLoom
  module Furniture
    # The web addresses in a line of text, as places that lead there.
    module WebAddresses
      # An address that stands in one line: a scheme or www., up to a space, without the stop that ends a sentence.
      PATTERN = %r{(?:https?://|www\.)[^\s<>"“”]*[^\s<>"“”.,;:!?)\]'’]}i

      module_function

      # Scene::Link list of a Scene::Text that stands upright.
      def links(text)
        return [] unless text.string.match?(PATTERN)
        text.string.to_enum(:scan, PATTERN).map { Regexp.last_match }.map { |found| link(text, found) }
      end

      def link(text, found)
        from, to = found.begin(0), found.end(0)
        left, right = [from, to].map { |index| text.x + width(text, text.string[0, index]) }
        top, bottom = text.y - text.face.ascent_mm(text.size_pt), text.y - text.face.descent_mm(text.size_pt)
        address = found[0].match?(/\Ahttps?:/i) ? found[0] : "https://#{found[0]}"
        Scene::Link.new(ring: Geometry::Box.new(left, top, right, bottom).corners, address: address, words: found[0])
      end

      def width(text, string) =
        text.face.width_mm(string, text.size_pt, tracking_pt: text.tracking_pt) +
          string.count(" ") * text.word_pt * Type::Face::MM_PER_PT
    end
  end
end
