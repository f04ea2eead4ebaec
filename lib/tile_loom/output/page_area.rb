# frozen_string_literal: true

module TileLoom
  module Output
    # What of a page an image shows: all of it, the map frame alone, or the frame with its border and labels.
    class PageArea
      PAGE, FRAME, BORDERED = "page", "map frame", "frame with border"
      # With their titles.
      SHOWN = {
        PAGE => "the page",
        FRAME => "the map frame only",
        BORDERED => "the map frame with border and labels"
      }.freeze

      # composer: of the page; shows: one of SHOWN. A page without a frame is shown whole.
      def initialize(composer, shows)
        @composer, @frame = composer, composer.main_frame
        @shows = @frame ? shows : PAGE
      end

      # The View::FrameView of the ground in it, or nil.
      def view = @frame&.view_on(@composer)

      # In page mm.
      def box = @box ||= found_box

      # A Scene::Drawing of no more than it shows.
      def drawing
        return @composer.drawing if @shows == PAGE
        @composer.drawing.with(nodes: [frame_group], trim_marks: false)
      end

      private

      def page = @composer.page

      def found_box
        return Geometry::Box.new(0, 0, page.width_mm, page.height_mm) if @shows == PAGE
        inner = @frame.box(page)
        return inner if @shows == FRAME
        room = @frame.surround(view, @composer).room
        Geometry::Box.new(
          inner.min_x - room["left"],
          inner.min_y - room["top"],
          inner.max_x + room["right"],
          inner.max_y + room["bottom"]
        )
      end

      # The frame as it stands on the page, or what lies in it.
      def frame_group
        return @frame.draw(@composer) if @shows == BORDERED
        Scene::Group.new(children: @frame.inside(@composer), clip: box)
      end
    end
  end
end
