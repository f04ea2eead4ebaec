# frozen_string_literal: true

module TileLoom
  module Compose
    # Composes a free page.
    class PageComposer < BookPageComposer
      def left_out = [*book.run(source).notices(book_page.page), *super]

      # The first that shows ground of a plane.
      def main_frame
        @main_frame ||= elements.find { |element| element.gridded? && !element.view_on(self)&.globe? }
      end
    end
  end
end
