# frozen_string_literal: true

module App
  # Elements of pages as SVG, by all that they are drawn from, so that a page of which a text was changed is not drawn
  # as a whole. Of a process; the longest unused go first.
  class WrittenElements
    # Bytes of all texts together.
    MOST_BYTES = 64 * 1024**2
    KEPT = TileLoom::RecentlyUsed.new(MOST_BYTES)

    # composer: of the page; svg: a TileLoom::Output::Svg; key: of the page and of all that it is drawn from but the
    # texts of the book as a whole.
    def initialize(composer, svg, key)
      @composer, @svg, @key = composer, svg, key
    end

    # The page.
    def to_s = @svg.page(@composer.elements.map { |element| KEPT[key(element)] || written(element) })

    private

    def key(element) = [@key, element.id]

    # Kept where no text of the book goes into it.
    def written(element)
      node, asks_texts = @composer.asking { element.draw(@composer) }
      @svg.written(node).tap { |text| KEPT.keep(key(element), text, text.bytesize) unless asks_texts }
    end
  end
end
