# frozen_string_literal: true

module TileLoom
  module Layout
    module Elements
      # A bar that stands for ground distance where it is read (see Bar::Measure), of a round length that fits its
      # room; with ratio and sentence if wanted. It belongs to the page's own frame or to another one.
      class ScaleBar < Element
        # A bar is warned of, or changes, where it is off by more than this in the frame.
        ERROR_LIMIT_PERCENT = 1.0

        def nodes(sheet, box)
          drawing = drawing(sheet, box)
          return drawing.nodes unless by_latitude?(sheet)
          Bar::ByLatitude.new(view: view(sheet), box: box, ruling: drawing.ruling, look: look(view(sheet))).nodes
        end

        # The Bar::Drawing in a box of a sheet.
        def drawing(sheet, box)
          view = view(sheet)
          Bar::Drawing.new(settings: settings, box: box, measure: measure(sheet), per_mm: per_mm(sheet, view), scale: told_scale(view), look: look(view), path: path)
        end

        # Refuses what would not fit at the book's scale. (By the plane: what the ground makes of it is known where a
        # sheet lies.)
        def check(book)
          return if settings["frame"] && settings["frame"] != book.layout.main_frame.id
          view = book.layout.frame_box.then { |box| Sheet::FrameView.new(frame: box, crs: book.crs, ground: Geometry::TurnedRectangle.new(0, 0, box.width * book.index.scale / 1000.0 / book.crs.metres_per_unit, box.height * book.index.scale / 1000.0 / book.crs.metres_per_unit, 0.0)) }
          Bar::Drawing.new(settings: settings, box: box(book.layout.page), measure: Bar::Measure.new(view, along: "grid"), per_mm: book.index.scale / 1000.0, scale: book.index.scale, look: look(view), path: path).nodes
        end

        # The Bar::Measure that it is drawn by.
        def measure(sheet) = Bar::Measure.new(view(sheet), at: settings["at"]&.then { |place| [place["x_mm"].to_f, place["y_mm"].to_f] }, along: settings.fetch("measured", "level"))

        def limit = settings.fetch("error_limit_percent", ERROR_LIMIT_PERCENT).to_f / 100

        # Is it drawn as a bar by latitude on this sheet?
        def by_latitude?(sheet) = settings["over_limit"] == "by_latitude" && measure(sheet).then { |found| found.error.share.abs > limit && found.cylindrical? }

        # The view of the frame that it is bound to.
        def view(sheet)
          id = settings["frame"]
          frame = id && sheet.layout.elements.find { |element| element.id == id && element.is_a?(Gridded) }
          return sheet.view if frame.nil? || frame == sheet.gridded_frame
          frame.map(sheet, frame.box(sheet.page)).view
        end

        private

        # The same for all sheets of one scale, so that their bars have one length.
        def per_mm(sheet, view)
          nominal = view.equal?(sheet.view) && sheet.nominal_view or return Bar::Measure.new(view).ground_m(10.0) / 10.0
          sheet.book.once([:bar_per_mm, nominal.frame]) { Bar::Measure.new(nominal).ground_m(10.0) / 10.0 / nominal.scale } * view.scale
        end

        def told_scale(view) = (view.scale % 1).zero? ? view.scale.to_i : view.scale.round

        def look(view)
          Bar::Look.new(face: face, size_pt: settings.fetch("size_pt", 7).to_f, colour: colour, light: settings.fetch("light", "#ffffff"), stroke_mm: settings.fetch("stroke_mm", 0.15).to_f,
            halo: settings["halo"] && Scene::Stroke.halo(settings["halo"]), ratio: "1:#{Units::Number.grouped(told_scale(view), separator: Units::Number::SEPARATORS.fetch(settings.fetch("thousands", "comma")))}")
        end
      end
    end
  end
end
