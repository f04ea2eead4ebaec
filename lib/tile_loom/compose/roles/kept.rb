# frozen_string_literal: true

module TileLoom
  module Compose
    module Roles
      # Parts that are worked out once: for this sheet, or for all that draw from the same.
      module Kept
        # A part of the drawing that may have been worked out for another composer. key: what makes it this part.
        def part(*key, &block) = @parts ? @parts.fetch(key, &block) : block.call

        # What the block gives, worked out once for this sheet; whoever asks for it has asked for the texts that it
        # holds.
        def once(*key)
          kept = (@once ||= {})[key]
          kept = @once[key] = asking { yield } unless kept&.first
          @asks_texts ||= kept.last
          kept.first
        end

        # [what the block gives, do texts of the book as a whole (see LiveText::OF_THE_BOOK) go into it?]
        def asking
          before, @asks_texts = @asks_texts, false
          value = yield
          [value, @asks_texts]
        ensure
          @asks_texts = before
        end

        private

        # A text of the book as a whole goes into what is being worked out.
        def asks_texts! = @asks_texts = true
      end
    end
  end
end
