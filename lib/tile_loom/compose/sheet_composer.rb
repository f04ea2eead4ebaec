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
      # the book's where none are given; entries_alone: only its legends are asked for, not its drawing;
      # far: see View::GroundDrawing, for small pictures.
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
        entries_alone: false,
        far: nil
      )
        @entries_alone, @far = entries_alone, far
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

      # What the block gives, worked out once for this sheet; whoever asks for it has asked for the texts that it holds.
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

      def layout = book.layout

      def page = @page ||= layout.page.for_page(page_number)

      # Its page among those of the book: a Layout::BookPage.
      def book_page = @book_page ||= book.run(source).book_page(cell.number)

      # Where in the book its page comes, from 1.
      def page_number = book_page&.position || cell.number

      # The elements that stand on this sheet.
      def elements = @elements ||= layout.elements.select { |element| element.on?(self) }

      # The ShownFeature of a cell's sheet.
      def feature_of(cell) = Standing.feature(book, source, cell)

      # This sheet as the conditions of what is drawn on it know it: a Conditions::OnSheet.
      def on_sheet = @on_sheet ||= Standing.of(book, source, cell)

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
      def drawing = @drawing ||= drawing_of(elements.map { |element| element.draw(self) })

      # The same page with other nodes on it.
      def drawing_of(nodes) =
        Scene::Drawing.new(
          width_mm: page.width_mm,
          height_mm: page.height_mm,
          nodes: nodes,
          viewports: viewports,
          title: title,
          bleed_mm: page.bleed_mm,
          trim_marks: page.trim_marks?
        )

      # What of the legend's entries the layers draw in a view, where nothing else of the drawing is asked for.
      def ground_entries(view, shown = all_layers)
        @entries_alone ? ground(view, shown, names: false).entries : ground_drawing(view, shown).entries
      end

      # What the layers draw in a view of this sheet: a View::GroundDrawing::Drawn. shown: a View::Shown.
      def ground_drawing(view, shown = all_layers)
        (@ground_drawings ||= {})[[view.crs.code, view.place, shown.key]] ||= kept_unless_tiles(
          shown.layers,
          "ground",
          book.key_of("crs", "layers", "looks", "markers", "faces", "design_scale"),
          view.crs.code,
          *view.place,
          @tolerance_mm,
          @names,
          @ppi,
          shown.key,
          *((shown.layers.any?(&:asks_sheet?) || shown.ground) ? on_sheet.key : [])
        ) { ground(view, shown).drawn }
      end

      # All that the book has, as it has it.
      def all_layers = @all_layers ||= View::Shown.new(layers: book.layers)

      # What was done by hand to the labels of its main frame.
      def labels_by_hand = @labels_by_hand ||= Symbology::Labels::HandSet.new(book.contents.labels_by_hand, name)

      # The frame of an id on this page, or its main one; nil where there is none.
      def frame(id)
        return main_frame if id.nil?
        elements.find { |element| element.id == id && element.gridded? }
      end

      # The frame that carries the grids and the scale of this page; nil where it has none.
      def main_frame = gridded_frame

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

      # Which part of the index this page is about, in other words than another page: nil for all of it.
      def part_of_index = nil

      # The cells of that part.
      def cells_of_part = cells

      # How much neighbours overlap on paper, across and down, in mm.
      def overlap_mm = book.index.overlap_mm(layout.frame_box)

      # [longitude, latitude] of the middle of the index, or of the area that it is to cover.
      def middle_of_index
        book.once([:middle_of_index]) do
          box = Index::Cell.box(cells) || book.study_area(source).box
          box ? Crs::Transform.between(book.crs, book.crs.geographic).point(*box.centre) : [0.0, 0.0]
        end
      end

      # Who is to be named for background tiles of this sheet and is not by a text of it.
      def uncredited(layers)
        return [] if templates.any? { |_, template| template.include?("book.credits") }
        layers.filter_map { |layer| layer.tiles&.attribution }.uniq
      end

      # Symbology::LegendEntry list of what a frame of this page drew, in drawing order; the main one where no id is
      # given.
      def legend_entries(id = nil)
        frame = (id && frame(id)) || main_frame or return []
        once(:legend_entries, frame.id) { frame.legend_entries(self) }
      end

      # All that a frame of this page can show, the topmost first, whatever this sheet has of it; the main one where no
      # id is given.
      def known_entries(id = nil)
        shown = ((id && frame(id)) || main_frame)&.layers_shown(book) || book.layers
        book.once([:known_entries, shown.map(&:object_id)]) do
          shown
            .select(&:visible?)
            .flat_map { |layer| layer.legend_entries(layer.raster? ? source.raster(layer.id)&.facts : nil) }
            .reverse
        end
      end

      # What any sheet of the book shows of it.
      def book_entries = book.once([:book_entries]) { BookEntries.new(book, source, known_entries, ppi: ppi).entries }

      # Text with its live values filled in; Refusal names the value that is unknown.
      # written: see LiveText#fill.
      def live_text(template, path: nil, written: nil) =
        once(:live_text, template, written) do
          text = LiveText.new(template, path: path)
          @asks_texts = true if text.asks_book?
          text.fill(values, written: written)
        end

      def values = @values ||= live_values.to_h

      def live_values = LiveValues.new(self)

      # Characters of all filled-in texts, to find the sheet that is hardest for a design.
      def text_length = templates.sum { |path, template| live_text(template, path: path).length }

      # Ids of the texts that do not stand in their boxes.
      def overflowing = texts.reject { |element| element.fits?(self) }.map(&:id)

      # What this sheet does not show for want of room or of data, or not as it says, in sentences.
      def left_out =
        [
          *layout.elements.flat_map { |element| element.shown_on&.notices(self, element.title).to_a },
          *elements.flat_map { |element| element.left_out(self) },
          *needle,
          *missing_characters
        ].uniq

      def name = cell.name

      def title = "#{cell.number}  #{cell.name}"

      private

      def ground(view, shown, names: @names && shown.names) =
        View::GroundDrawing.new(
          layers: shown.layers,
          source: source_in(view),
          view: view,
          tolerance_mm: [@tolerance_mm, shown.tolerance_mm].compact.max,
          names: names,
          things: @things,
          ppi: @ppi,
          on_sheet: on_sheet,
          exact: shown.exact,
          shown: shown.ground,
          taken: shown.taken,
          ring: shown.ring,
          hand: shown.hand,
          coarse_mm: @far && 25.4 / @ppi,
          far: (@far if view.crs == book.crs)
        )

      # The features as a view of another reference sees them.
      def source_in(view)
        return source if view.crs == book.crs
        kept = book.once([:elsewhere, view.crs.code, view.globe? ? view.horizon.reach_deg : nil]) { {} }
        Data::Elsewhere.new(source, kept) { passage(book.crs, view) }
      end

      # Tiles that did not come may come the next time; so may what is seen from afar.
      def kept_unless_tiles(layers, *key, &block)
        (@far || layers.any? { |layer| layer.visible? && layer.tiles }) ? block.call : part(*key, &block)
      end

      # Geometry::TurnedRectangle, which alone is kept for other sheets, as references belong to a thread.
      def nominal_ground
        book.once([:nominal_ground, layout.main_frame.id]) do
          middle = Index::Cell.box(cells)&.centre || [cell.ground.centre_x, cell.ground.centre_y]
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
          when Scene::Text, Scene::CurvedText
            [[node.face, node.string]]
          when Scene::Group
            strings(node.children)
          else
            []
          end
        end
      end

      # [path, live text] of all elements that are shown.
      def templates = @templates ||= elements.reject(&:hidden?).flat_map(&:templates)

      def texts = elements.select { |element| element.text? && !element.hidden? }

      # Of all frames of the page.
      def viewports = elements.flat_map { |element| element.views(self) }.filter_map { |view| viewport(view) }

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
