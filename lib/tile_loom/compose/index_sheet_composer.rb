# frozen_string_literal: true

module TileLoom
  module Compose
    # Composes the index sheet: the page that shows the whole index. Its scale, north and coordinates are
    # those of its index frame.
    class IndexSheetComposer < SheetComposer
      NAME = "Index"

      def initialize(book:, source:, count:, **options) =
        super(book: book, source: source, cell: nil, count: count, **options)

      def layout = book.index_layout

      def page = layout.page

      def page_number = 1

      def view = @view ||= layout.index_frame.view_on(self) || nothing

      # An index without cells has nothing to show.
      def nothing =
        View::FrameView.new(
          frame: layout.index_frame.box(page),
          ground: Geometry::TurnedRectangle.new(0.5, 0.5, 1.0, 1.0, 0.0),
          crs: book.crs
        )

      def stated_scale = (view.scale >= 10) ? view.scale.round : Units::Number.tidy(view.scale.round(3))

      def gridded_frame = layout.index_frame

      # The index sheet is one of its kind.
      def nominal_view = nil

      def live_values = IndexSheetValues.new(self)

      def name = NAME

      def title = NAME

      def neighbours = {}
    end
  end
end
