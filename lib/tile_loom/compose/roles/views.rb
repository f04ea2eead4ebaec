# frozen_string_literal: true

module TileLoom
  module Compose
    module Roles
      # What its frames look at: views of the ground, what is measured in them, and ways from one reference to another.
      module Views
        def view = @view ||= View::FrameView.new(frame: layout.main_frame.box(page), ground: cell.ground, crs: book.crs)

        # Where its scale bar is read unless the bar says otherwise: the frame's middle.
        def measure = @measure ||= View::Measure.new(view)

        # The norths of the frame's middle.
        def norths = @norths ||= View::Norths.new(view, book.parsed_date)

        # A view of the book's scale in the middle of the index: what is the same on all sheets is reckoned for it.
        def nominal_view
          @nominal_view ||= View::FrameView.new(frame: layout.frame_box, ground: nominal_ground, crs: book.crs)
        end

        # What a frame shows, a View::FrameView; nil where it shows nothing here.
        def view_of(id) = frame(id)&.view_on(self)

        # Works out what a frame shows. One whose extent goes round to itself shows nothing.
        def viewing(id)
          @viewing ||= []
          return nil if @viewing.include?(id)
          @viewing.push(id)
          begin
            yield
          ensure
            @viewing.delete(id)
          end
        end

        # The way of geometry from a reference into a view (see Crs::Passages).
        def passage(from, view, tolerance_mm: View::GroundDrawing::TOLERANCE_MM)
          return Crs::Passages::Globe.new(from, view.crs, view.horizon) if view.globe?
          return Crs::Passages::Plane.new(from, view.crs, tolerance_mm * view.units_per_mm) unless from == view.crs
          Crs::Passages::SAME
        end

        # A geometry of the book's reference in a view's; nil where the view cannot show it.
        def brought(wkb, view) = (view.crs == book.crs) ? wkb : Crs::Passages.wkb(passage(book.crs, view), wkb)

        private

        # Geometry::TurnedRectangle, which alone is kept for other sheets, as references belong to a thread.
        def nominal_ground
          book.once([:nominal_ground, layout.main_frame.id]) do
            middle = Index::Cell.box(cells)&.centre || [cell.ground.centre_x, cell.ground.centre_y]
            frame = layout.frame_box
            per_mm = book.index.scale / 1000.0 / book.crs.metres_per_unit
            Geometry::TurnedRectangle.new(*middle, frame.width * per_mm, frame.height * per_mm, 0.0)
          end
        end
      end
    end
  end
end
