# frozen_string_literal: true

module TileLoom
  module Compose
    # Puts one cell on the book's layout and composes the scene.
    class SheetComposer
      attr_reader :book, :source, :cell, :count, :ppi

      # source: where features come from (see Data::MemorySource); count: sheets in the book;
      # things: {layer id → names of the attributes that its features carry in the drawing};
      # tolerance_mm: coarser, and names: false, for small pictures; parts: keeps parts of the drawing by a key of all
      # that they are drawn from but the data (fetch(key) { part }), or nil; ppi: pixels an inch of layers of pixels,
      # the book's where none are given; entries_alone: only its legends are asked for, not its drawing.
      def initialize(
        book:,
        source:,
        cell:,
        count:,
        tolerance_mm: View::GroundDrawing::TOLERANCE_MM,
        names: true,
        parts: nil,
        things: {},
        ppi: nil,
        entries_alone: false
      )
        @entries_alone = entries_alone
        @book, @source, @cell, @count, @tolerance_mm, @names, @parts, @things =
          book,
          source,
          cell,
          count,
          tolerance_mm,
          names,
          parts,
          things
        @ppi = ppi || book.resolution_ppi
      end

      # A part of the drawing that may have been worked out for another composer. key: what makes it this part.
      def part(*key, &block) = @parts ? @parts.fetch(key, &block) : block.call

      # What the block gives, worked out once for this sheet.
      def once(*key) = (@once ||= {})[key] ||= yield

      def layout = book.layout

      def page = @page ||= layout.page.for_page(book.page_number(cell))

      def view = @view ||= View::FrameView.new(frame: layout.main_frame.box(page), ground: cell.ground, crs: book.crs)

      # The denominator that the sheet is held at, on the plane or on the ground as the index has it.
      def stated_scale = cell.scale

      # Where its scale bar is read unless the bar says otherwise: the frame's middle.
      def measure = @measure ||= View::Measure.new(view)

      # The norths of the frame's middle.
      def norths = @norths ||= View::Norths.new(view, book.parsed_date)

      # The frame that carries the grids of this page.
      def gridded_frame = layout.main_frame

      # A view of the book's scale in the middle of the index: what is the same on all sheets is reckoned for it.
      def nominal_view
        @nominal_view ||= View::FrameView.new(frame: layout.frame_box, ground: nominal_ground, crs: book.crs)
      end

      # All cells of the index.
      def cells = book.cells(source)

      # {direction → Cell} around this one.
      def neighbours = book.neighbours(source).of(cell)

      # Scene::Drawing of the page.
      def drawing
        @drawing ||=
          Scene::Drawing.new(
            width_mm: page.width_mm,
            height_mm: page.height_mm,
            nodes: layout.elements.map { |element| element.draw(self) },
            viewports: viewports,
            title: title,
            bleed_mm: page.bleed_mm,
            trim_marks: page.trim_marks?
          )
      end

      # What of the legend's entries the layers draw in a view, where nothing else of the drawing is asked for.
      def ground_entries(view)
        @entries_alone ? ground(view, names: false).entries : ground_drawing(view).entries
      end

      # What the layers draw in a view of this sheet: a View::GroundDrawing::Drawn.
      def ground_drawing(view)
        (@ground_drawings ||= {})[view.place] ||= kept_unless_tiles(
          "ground",
          book.key_of("crs", "layers", "markers", "faces"),
          *view.place,
          @tolerance_mm,
          @names,
          @ppi
        ) { ground(view).drawn }
      end

      # Who is to be named for background tiles of this sheet and is not by a text of it.
      def uncredited(layers)
        return [] if templates.any? { |_, template| template.include?("book.credits") }
        layers.filter_map { |layer| layer.tiles&.attribution }.uniq
      end

      # Symbology::LegendEntry list of what a frame of this page drew, in drawing order; the main one where no id is
      # given.
      def legend_entries(id = nil)
        frame = (id && layout.elements.find { |element| element.id == id && element.gridded? }) || gridded_frame
        once(:legend_entries, frame.id) { frame.legend_entries(self) }
      end

      # All that the map can show, the topmost first, whatever this sheet has of it.
      def known_entries =
        book.once([:known_entries]) do
          book
            .layers
            .select(&:visible?)
            .flat_map { |layer| layer.legend_entries(layer.raster? ? source.raster(layer.id)&.facts : nil) }
            .reverse
        end

      # What any sheet of the book shows of it.
      def book_entries = book.once([:book_entries]) { BookEntries.new(book, source, known_entries, ppi: ppi).entries }

      # Text with its live values filled in; Refusal names the value that is unknown.
      # written: see LiveText#fill.
      def live_text(template, path: nil, written: nil) =
        once(:live_text, template, written) { LiveText.new(template, path: path).fill(values, written: written) }

      def values = @values ||= live_values.to_h

      def live_values = LiveValues.new(self)

      # Characters of all filled-in texts, to find the sheet that is hardest for a design.
      def text_length = templates.sum { |path, template| live_text(template, path: path).length }

      # Ids of the texts that do not stand in their boxes.
      def overflowing = texts.reject { |element| element.fits?(self) }.map(&:id)

      # What this sheet does not show for want of room or of data, or not as it says, in sentences.
      def left_out = (layout.elements.flat_map { |element| element.left_out(self) } + needle + missing_characters).uniq

      def name = cell.name

      def title = "#{cell.number}  #{cell.name}"

      private

      def ground(view, names: @names) =
        View::GroundDrawing.new(
          layers: book.layers,
          source: source,
          view: view,
          tolerance_mm: @tolerance_mm,
          names: names,
          things: @things,
          ppi: @ppi
        )

      # Tiles that did not come may come the next time.
      def kept_unless_tiles(*key, &block)
        (book.layers.any? { |layer| layer.visible? && layer.tiles }) ? block.call : part(*key, &block)
      end

      # Geometry::TurnedRectangle, which alone is kept for other sheets, as references belong to a thread.
      def nominal_ground
        book.once([:nominal_ground, layout.main_frame.id]) do
          middle =
            cells.map { |known| known.ground.box }.reduce { |all, other| all.union(other) }&.centre ||
            [cell.ground.centre_x, cell.ground.centre_y]
          frame = layout.frame_box
          per_mm = book.index.scale / 1000.0 / book.crs.metres_per_unit
          Geometry::TurnedRectangle.new(*middle, frame.width * per_mm, frame.height * per_mm, 0.0)
        end
      end

      # Live texts that ask for the compass needle where it is not known have nothing in its place.
      NEEDLE = /sheet\.(declination|grid_magnetic|annual_change)/

      def needle =
        if templates.any? { |_, template| template.match?(NEEDLE) } && norths.declination_deg.nil?
          [norths.trouble].compact
        else
          []
        end

      def missing_characters
        strings(drawing.nodes)
          .group_by(&:first)
          .flat_map do |face, list|
            list
              .map(&:last)
              .uniq
              .filter_map do |string|
                lost = face.missing(string)
                next if lost.empty?
                shown = string[0, 60]
                "The text “#{shown}” has #{listed(lost)}, which no typeface of the book has; import one that does."
              end
          end
      end

      MOST_CHARACTERS = 5

      # "☃ (U+2603)"
      def listed(characters)
        characters
          .first(MOST_CHARACTERS)
          .map { |character| format("%s (U+%04X)", character, character.ord) }
          .join(", ") +
          ((characters.length > MOST_CHARACTERS) ? " and #{characters.length - MOST_CHARACTERS} more characters" : "")
      end

      # [face, string] of all texts among the nodes.
      def strings(nodes)
        nodes.flat_map do |node|
          case node
          when Scene::Text
            [[node.face, node.string]]
          when Scene::Group
            strings(node.children)
          else
            []
          end
        end
      end

      # [path, live text] of all elements that are shown.
      def templates = @templates ||= layout.elements.reject(&:hidden?).flat_map(&:templates)

      def texts = layout.elements.select { |element| element.text? && !element.hidden? }

      # Of all frames of the page.
      def viewports = layout.elements.flat_map { |element| element.views(self) }.filter_map { |view| viewport(view) }

      # nil where a corner of the frame lies beyond the earth, as in a view of the globe.
      def viewport(view)
        order = view.ground.corners.each_slice(2).to_a.values_at(0, 3, 2, 1)
        lonlat = view.to_geographic.forward(order.flatten)
        return nil unless lonlat.all?(&:finite?)
        Scene::Viewport.new(
          frame: view.frame,
          corners_lat_lon: lonlat.each_slice(2).map(&:reverse),
          crs: view.crs,
          name: name
        )
      end
    end
  end
end
