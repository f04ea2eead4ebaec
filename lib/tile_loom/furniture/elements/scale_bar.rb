# frozen_string_literal: true

module TileLoom
  module Furniture
    module Elements
      # A bar that stands for ground distance where it is read (see View::Measure), of a round length that fits its
      # room; with ratio and sentence if wanted. It belongs to the page's own frame or to another one.
      class ScaleBar < Element
        point = {
          x_mm: Values::Part.new(:x_mm, Values::Number.new(-5000..5000), required: true),
          y_mm: Values::Part.new(:y_mm, Values::Number.new(-5000..5000), required: true)
        }

        kind "scale_bar", "Scale bar", rank: 3
        size_mm 60, 9
        take Bar::Style.parts
        part :frame, Values::Types::ID, about: "The frame whose scale it has; the page's own where none is named."
        part :measured,
          choice(level: "on the ellipsoid", grid: "on the projection"),
          default: "level",
          about: "Along the page's horizontal on the ground, or along the grid as the reference counts."
        part :true_at,
          Values::Record.new(nil, point) { |x_mm:, y_mm:| [x_mm, y_mm] },
          about: "The place on the page where it is true; the frame's middle where none is given."
        part :error_limit_percent,
          number(above: 0, most: 100),
          default: 1,
          about: "Off by more than this anywhere in the frame, it is warned of."
        part :if_exceeded, choice(warn: "warn", by_latitude: "a bar by latitude"), default: "warn"
        part :fitted,
          choice(book: "all sheets", sheet: "each sheet"),
          default: "book",
          about: "One round length for all sheets of a scale, or the longest for each sheet."

        # What of it is style: a Bar::Style.
        def bar_style = Bar::Style.new(given.slice(*Bar::Style.keys), path: path, assets: assets)

        def spoken(sheet)
          language = sheet.book.language
          ruling = drawing(sheet, box(sheet.page)).ruling
          total = ruling.total.to_f
          length = "#{language.plain(total, decimals: 4)} #{ruling.unit.symbol(language, total)}"
          language.word(:spoken_bar, length: length)
        rescue Refusal
          language.word(:spoken_bar_bare)
        end

        def nodes(sheet, box)
          drawing = drawing(sheet, box)
          return drawing.nodes unless by_latitude?(sheet)
          Bar::ByLatitude.new(
            style: bar_style,
            view: view(sheet),
            box: box,
            look: look(scale(sheet), sheet.book.language),
            path: path
          ).nodes
        end

        # The Bar::Drawing in a box of a sheet.
        def drawing(sheet, box)
          Bar::Drawing.new(
            style: bar_style,
            box: box,
            measure: measure(sheet),
            per_mm: per_mm(sheet),
            scale: scale(sheet),
            look: look(scale(sheet), sheet.book.language),
            path: path,
            verbal: ->(units) do
              Bar::VerbalScale.on(
                measure_of(view(sheet), sheet),
                scale(sheet),
                language: sheet.book.language,
                units: units
              )
            end
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
        rescue Refusal => problem
          [problem.message]
        end

        # Refuses what would not fit at the book's scale. (By the plane: what the ground makes of it is known where a
        # sheet lies.)
        def check(book)
          return if frame && frame != book.layout.main_frame.id
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
            style: bar_style,
            box: box(book.layout.page),
            measure: View::Measure.new(view, along: "grid"),
            per_mm: book.index.scale / 1000.0,
            scale: book.index.scale,
            look: look(book.index.scale, book.language),
            path: path,
            verbal: ->(units) { Bar::VerbalScale.of(book.index.scale, language: book.language, units: units) }
          ).nodes
        end

        def called = own_title ? "scale bar “#{own_title}”" : "scale bar"

        # The View::Measure that it is drawn by.
        def measure(sheet) =
          if true_at.nil? && measured == "level"
            measure_of(view(sheet), sheet)
          else
            View::Measure.new(view(sheet), at: true_at, along: measured)
          end

        def limit = error_limit_percent / 100

        # Is it drawn as a bar by latitude on this sheet?
        def by_latitude?(sheet) =
          if_exceeded == "by_latitude" &&
            measure(sheet).then { |found| found.error.share.abs > limit && found.cylindrical? }

        # The view of the frame that it is bound to.
        def view(sheet)
          bound = frame && sheet.elements.find { |element| element.id == frame && element.gridded? }
          (bound unless bound.equal?(sheet.main_frame))&.view_on(sheet) || sheet.view
        end

        private

        # In a frame's middle; of the page's own frame that which the sheet knows already.
        def measure_of(view, sheet) = view.equal?(sheet.view) ? sheet.measure : View::Measure.new(view)

        # One length for all sheets of one scale goes by the sheet on which it takes most paper.
        def per_mm(sheet)
          own = view(sheet)
          return measure(sheet).per_mm unless own.equal?(sheet.view) && sheet.nominal_view && fitted == "book"
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
          View::Measure.new(view, at: true_at, along: measured).per_mm
        rescue Refusal
          nil
        end

        # The denominator that is told: what the sheet is held at; of another frame that of its plane.
        def scale(sheet)
          view = view(sheet)
          return sheet.stated_scale if view.equal?(sheet.view)
          (view.scale % 1).zero? ? view.scale.to_i : view.scale.round
        end

        def look(scale, language)
          Bar::Look.new(
            face: typeface(face),
            size_pt: size_pt,
            colour: colour,
            light: light,
            stroke_mm: stroke_mm,
            halo: halo&.under_text,
            ratio: language.ratio(scale, separator: Units::Number::SEPARATORS.fetch(thousands)),
            language: language
          )
        end
      end
    end
  end
end
