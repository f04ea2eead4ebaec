# frozen_string_literal: true

module TileLoom
  module Furniture
    module Elements
      # A bar that stands for ground distance where it is read (see View::Measure), of a round length that fits its
      # room; with ratio and sentence if wanted. It belongs to the page's own frame or to another one.
      class ScaleBar < Element
        # A bar is warned of, or changes, where it is off by more than this in the frame.
        ERROR_LIMIT_PERCENT = 1.0

        def nodes(sheet, box)
          drawing = drawing(sheet, box)
          return drawing.nodes unless by_latitude?(sheet)
          Bar::ByLatitude.new(
            settings: settings,
            view: view(sheet),
            box: box,
            look: look(scale(sheet)),
            path: path
          ).nodes
        end

        # The Bar::Drawing in a box of a sheet.
        def drawing(sheet, box)
          Bar::Drawing.new(
            settings: settings,
            box: box,
            measure: measure(sheet),
            per_mm: per_mm(sheet),
            scale: scale(sheet),
            look: look(scale(sheet)),
            path: path,
            verbal: ->(units) { Bar::VerbalScale.on(measure_of(view(sheet), sheet), scale(sheet), units: units) }
          )
        end

        def left_out(sheet)
          return [] if hidden?
          error = measure(sheet).error
          found = []
          if error.share.abs > limit && !by_latitude?(sheet)
            off, most = [error.share.abs, limit].map { |share| Units::Number.plain(share * 100, decimals: 2) }
            found << "The #{called} is off by up to #{off} % in parts of this sheet, more than its limit of #{most} %."
          end
          drawing = drawing(sheet, box(sheet.page))
          if !by_latitude?(sheet) && drawing.shortened?
            found << "The #{called} has a shorter length on this sheet than on the others, where it would not fit."
          end
          found
        rescue Invalid => problem
          [problem.message]
        end

        # Refuses what would not fit at the book's scale. (By the plane: what the ground makes of it is known where a
        # sheet lies.)
        def check(book)
          return if settings["frame"] && settings["frame"] != book.layout.main_frame.id
          view =
            book.layout.frame_box.then do |box|
              View::FrameView.new(
                frame: box,
                crs: book.crs,
                ground:
                  Geometry::TurnedRectangle.new(
                    0,
                    0,
                    box.width * book.index.scale / 1000.0 / book.crs.metres_per_unit,
                    box.height * book.index.scale / 1000.0 / book.crs.metres_per_unit,
                    0.0
                  )
              )
            end
          Bar::Drawing.new(
            settings: settings,
            box: box(book.layout.page),
            measure: View::Measure.new(view, along: "grid"),
            per_mm: book.index.scale / 1000.0,
            scale: book.index.scale,
            look: look(book.index.scale),
            path: path,
            verbal: ->(units) { Bar::VerbalScale.of(book.index.scale, units: units) }
          ).nodes
        end

        def called = settings["title"] ? "scale bar “#{settings["title"]}”" : "scale bar"

        # The View::Measure that it is drawn by.
        def measure(sheet) =
          if at.nil? && along == "level"
            measure_of(view(sheet), sheet)
          else
            View::Measure.new(view(sheet), at: at, along: along)
          end

        def limit = settings.fetch("error_limit_percent", ERROR_LIMIT_PERCENT).to_f / 100

        # Is it drawn as a bar by latitude on this sheet?
        def by_latitude?(sheet) =
          settings["over_limit"] == "by_latitude" &&
            measure(sheet).then { |found| found.error.share.abs > limit && found.cylindrical? }

        # The view of the frame that it is bound to.
        def view(sheet)
          id = settings["frame"]
          frame = id && sheet.layout.elements.find { |element| element.id == id && element.is_a?(Gridded) }
          return sheet.view if frame.nil? || frame == sheet.gridded_frame
          frame.map(sheet, frame.box(sheet.page)).view
        end

        private

        # In a frame's middle; of the page's own frame that which the sheet knows already.
        def measure_of(view, sheet) = view.equal?(sheet.view) ? sheet.measure : View::Measure.new(view)

        # One length for all sheets of one scale goes by the sheet on which it takes most paper.
        def per_mm(sheet)
          own = view(sheet)
          unless own.equal?(sheet.view) && sheet.nominal_view && settings.fetch("fitted", "book") == "book"
            return measure(sheet).per_mm
          end
          sheet.book.once([:bar_per_mm, id, sheet.cell.scale]) { narrowest(sheet, own) }
        end

        # Metres that a millimetre stands for where it stands for fewest. Of many cells those are measured that lie
        # outermost, and some between; a sheet that has still less room takes a shorter length, which is told.
        MOST_MEASURED = 200

        def narrowest(sheet, own)
          alike = sheet.cells.select { |cell| cell.scale == sheet.cell.scale }
          every = (alike.length / MOST_MEASURED.to_f).ceil
          some = alike.each_with_index.select { |_, index| (index % every).zero? }.map(&:first)
          (some + Index::Cell.outermost(alike))
            .uniq(&:number)
            .filter_map do |cell|
              metres_per_mm(View::FrameView.new(frame: own.frame, ground: cell.ground, crs: own.crs))
            end
            .min || measure(sheet).per_mm
        end

        def metres_per_mm(view)
          View::Measure.new(view, at: at, along: along).per_mm
        rescue Invalid
          nil
        end

        def at = settings["at"]&.then { |place| [place["x_mm"].to_f, place["y_mm"].to_f] }

        def along = settings.fetch("measured", "level")

        # The denominator that is told: what the sheet is held at; of another frame that of its plane.
        def scale(sheet)
          view = view(sheet)
          return sheet.stated_scale if view.equal?(sheet.view)
          (view.scale % 1).zero? ? view.scale.to_i : view.scale.round
        end

        def look(scale)
          Bar::Look.new(
            face: face,
            size_pt: settings.fetch("size_pt", 7).to_f,
            colour: colour,
            light: settings.fetch("light", "#ffffff"),
            stroke_mm: settings.fetch("stroke_mm", 0.15).to_f,
            halo: settings["halo"] && Scene::Stroke.halo(settings["halo"]),
            ratio:
              Units::Number.ratio(
                scale,
                separator: Units::Number::SEPARATORS.fetch(settings.fetch("thousands", "comma"))
              )
          )
        end
      end
    end
  end
end
