# frozen_string_literal: true

module TileLoom
  module Compose
    # Composes a page that is of no cell: its scale, north and coordinates are those of its first frame of the ground.
    class BookPageComposer < SheetComposer
      # book_page: a Layout::BookPage.
      def initialize(book_page:, book:, source:, count:, **options)
        @book_page = book_page
        super(book: book, source: source, cell: nil, count: count, **options)
      end

      attr_reader :book_page

      def layout = book_page.page.layout

      def view = @view ||= main_frame&.view_on(self) || nothing

      def stated_scale = (view.scale >= 10) ? view.scale.round : Units::Number.tidy(view.scale.round(3))

      # It is one of its kind.
      def nominal_view = nil

      def live_values = BookPageValues.new(self)

      def name = book_page.name

      def title = book_page.name

      def neighbours = {}

      def part_of_index = book_page.number

      private

      # Where no ground is shown, what is said of it is said of the middle of the index at the book's scale.
      def nothing
        frame = main_frame&.box(page) || page.live_area
        per_mm = book.index.scale / 1000.0 / book.crs.metres_per_unit
        place =
          book.once([:middle_ground]) { Crs::Transform.between(book.crs.geographic, book.crs).forward(middle_of_index) }
        place = [0.0, 0.0] unless place.all?(&:finite?)
        View::FrameView.new(
          frame: frame,
          ground: Geometry::TurnedRectangle.new(*place, frame.width * per_mm, frame.height * per_mm, 0.0),
          crs: book.crs
        )
      end
    end
  end
end
