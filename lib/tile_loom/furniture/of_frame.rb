# frozen_string_literal: true

module TileLoom
  module Furniture
    # Elements that tell of the ground of one frame of the page: the main one, or one that they name.
    module OfFrame
      def self.included(element)
        element.part(
          :frame,
          Values::Types::ID,
          about: "Of which frame of the page it tells; of the main one where none is named."
        )
      end

      private

      # The View::FrameView that it tells of; that of the main frame where the one that it names is not there.
      def stated_view(sheet) = (frame && sheet.view_of(frame)) || sheet.view

      # The View::Norths of that frame's middle.
      def stated_norths(sheet)
        view = stated_view(sheet)
        return sheet.norths if view.equal?(sheet.view)
        sheet.once(:norths, frame) { View::Norths.new(view, sheet.book.parsed_date) }
      end
    end
  end
end
