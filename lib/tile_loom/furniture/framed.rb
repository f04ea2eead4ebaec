# frozen_string_literal: true

module TileLoom
  module Furniture
    # What all frames that show ground have in common: which layers, in which outline, with what over them.
    module Framed
      include Gridded

      def self.included(element)
        Gridded.included(element)
        element.part(
          :look,
          Values::Types::ID,
          about: "Of the book's looks the one that its layers have; without one they are as the book has them."
        )
        element.part(
          :layers,
          Values::Choice.new(all: "all layers shown", areas: "areas and rasters", none: "no layers"),
          default: "all",
          about: "Of the layers: all that are shown, only areas and rasters, or none."
        )
        element.part(:labels, Values::Types::FLAG, default: true, about: "With the labels of its layers?")
        element.part(:shape, Frames::Shape.type, default: {})
        element.part(:fill, Scene::Fill::TYPE, about: "Below the ground.")
        element.part(:shadow, Shadow.type)
        element.part(:cells, Frames::Cells.type, about: "The cells of the index over the ground.")
        element.part(:veil, Frames::Veil.type)
        element.part(
          :outlines,
          Values::List.new(Frames::FrameOutline.type, most: 20, ids: Values::EntryIds.new("outline", by: "frame")),
          default: [],
          about: "The ground of other frames of the page, shown in this one."
        )
      end

      # With that of the names of cells.
      def typefaces = super + (cells&.given?(:face) ? [["#{cells.path}/face", cells.face]] : [])

      def nodes(sheet, _box)
        view = view_on(sheet) or return []
        under, lines, round = surround_nodes(sheet, view)
        [*backing(view), *cut(under, view), *inner(sheet, view, lines), *round, *rim(view), *leaders(sheet, view)]
      end

      # What lies in the frame, without border and labels beside it.
      def inside(sheet)
        view = view_on(sheet) or return []
        surround = surround(view, sheet, bordered: false)
        [*cut(surround.under, view), *inner(sheet, view, surround.lines), *surround.round]
      end

      # Its flat ring on the page.
      def ring_on(sheet) = ring(view_on(sheet))

      # The letter by which it is known in other frames, or nil.
      def letter = nil

      def legend_entries(sheet)
        view_on(sheet).then { |view| view ? sheet.ground_entries(view, shown(sheet, view)) : [] }
      end

      def shown_layers(sheet) = view_on(sheet).then { |view| view ? drawn(sheet, view).layers : [] }

      def left_out(sheet)
        return [] if hidden?
        view = view_on(sheet) or return nothing_shown(sheet)
        [
          *super,
          *drawn(sheet, view).then do |drawn|
            [*drawn.names_left_out, *drawn.notices].map { |sentence| located(sentence) }
          end,
          *cells_left_out(sheet, view),
          *veil&.notices(sheet, view),
          *notes(sheet, view).notices.map { |sentence| located(sentence) },
          *outline_drawings(sheet, view).filter_map(&:trouble),
          *Overlaps.new(self, sheet, surround_nodes(sheet, view).last).notices,
          *((!plain?(view) && grids.any?(&:labels)) ? ["“#{title}” is no rectangle, so its grids have no labels."] : [])
        ]
      end

      # Labelling::UnplacedLabel list: labels of features that have no room in it on a sheet.
      def unplaced_labels(sheet) = placing(sheet)&.unplaced || []

      # Labelling::PlacedLabel list: labels of features that it shows on a sheet.
      def placed_labels(sheet) = placing(sheet)&.placed || []

      # Symbology::Layer list, as its look has them.
      def layers_shown(book)
        list = look ? book.layers_of(look) : book.layers
        case layers
        when "none"
          []
        when "areas"
          list.select { |layer| layer.raster? || layer.areas? }
        else
          list
        end
      end

      # One that is no rectangle has its border as a line along its outline, and no labels of grids.
      def surround(view, sheet, grids: self.grids, **more)
        return super if plain?(view)
        super(view, sheet, grids: grids.map { |grid| grid.with(labels: nil, squares: nil) }, **more, bordered: false)
      end

      private

      def placing(sheet) = hidden? ? nil : view_on(sheet)&.then { |view| drawn(sheet, view) }

      # What is said of one of several frames says which.
      def located(sentence) = sentence

      # Why nothing is drawn on a sheet, in sentences.
      def nothing_shown(_sheet) = []

      # Is it a rectangle, so that borders and labels stand round it?
      def plain?(view) = shape.rectangle? && !view.globe?

      def ring(view) = view.globe? ? view.disc : shape.ring(view.frame)

      # What the ground is cut by.
      def clip(view) = plain?(view) ? view.frame : Scene::Outline.new(runs: [ring(view)])

      def cut(nodes, view) =
        (nodes.empty? || plain?(view)) ? nodes : [Scene::Group.new(children: nodes, clip: clip(view), name: "grids")]

      def backing(view)
        return [] unless fill || shadow
        rings = [ring(view)]
        [*shadow&.nodes(rings), *(fill ? painted(rings, fill, nil) : [])]
      end

      def rim(view) = (plain?(view) || view.globe?) ? [] : painted([ring(view)], nil, border.stroke)

      # Grids, labels and border: [below the ground, lines above it, what stands round it].
      def surround_nodes(sheet, view)
        sheet.once(:surround_nodes, id) do
          sheet.part(
            "surround",
            JSON.generate(given.slice("grids", "border", "shape")),
            sheet.book.key_of("crs", "faces"),
            sheet.page.width_mm,
            sheet.page.height_mm,
            view.crs.code,
            view.globe?,
            *view.place,
            *sheet.nominal_view&.place
          ) { surrounding(sheet, view) }
        end
      end

      # From the ground up to what stands over it: layers, cells, outlines, the veil, labels.
      def inner(sheet, view, lines)
        drawn = drawn(sheet, view)
        globe_under, globe_over = globe_nodes(sheet, view)
        below, above = (veil && veil.labels == "above") ? [[], drawn.names] : [drawn.names, []]
        first, then_lines = (veil && veil.grids == "below") ? [lines, []] : [[], lines]
        [
          Scene::Group.new(children: [*globe_under, *drawn.nodes, *below], clip: clip(view), name: "ground"),
          *cell_nodes(sheet, view, drawn),
          *cut(first, view),
          *clipped("veil", veil&.nodes(sheet, view, ring(view)), view),
          *clipped("labels", above, view),
          *clipped("notes", notes(sheet, view).nodes, view),
          *clipped("outlines", outline_drawings(sheet, view).flat_map(&:nodes), view),
          *over_ground(sheet, view),
          *credits(sheet, view),
          *cut(then_lines, view),
          *globe_over
        ]
      end

      def surrounding(sheet, view) =
        surround(view, sheet).then { |surround| [surround.under, surround.lines, surround.round] }

      def clipped(name, nodes, view) =
        (nodes.nil? || nodes.empty?) ? [] : [Scene::Group.new(children: nodes, clip: clip(view), name: name)]

      # What a kind of frame has over its ground.
      def over_ground(_sheet, _view) = []

      def globe_nodes(_sheet, _view) = [[], []]

      def leaders(sheet, view) = outline_drawings(sheet, view).flat_map(&:leaders)

      def outline_drawings(sheet, view) =
        sheet.once(:outlines, id) do
          outlines.map do |outline|
            Frames::OutlineDrawing.new(
              outline,
              sheet: sheet,
              view: view,
              ring: ring(view),
              other: sheet.frame(outline.frame)&.then { |frame| frame.hidden? ? nil : frame },
              face: typeface("sans-bold")
            )
          end
        end

      # The View::GroundDrawing::Drawn of its ground.
      def drawn(sheet, view) = sheet.ground_drawing(view, shown(sheet, view))

      # What of the ground it shows: a View::Shown.
      def shown(sheet, view) =
        sheet.once(:shown, id) do
          taken = (cells&.first == "cells") ? cells_drawing(sheet, view).labels.map { |_, box| box } : []
          taken += notes(sheet, view).boxes
          texts = [*surround_nodes(sheet, view).drop(1).flatten(1), *over_ground(sheet, view)]
          taken += InTheWay.new(self, sheet, view, texts).boxes
          View::Shown.new(
            layers: layers_shown(sheet.book),
            names: labels?,
            exact: veil ? veil.exact_layers(sheet) : [],
            ground: ground_seen(sheet, view),
            taken: taken,
            ring: plain?(view) ? nil : ring(view),
            hand: by_hand(sheet),
            key: [
              *by_hand(sheet).key,
              look,
              layers,
              labels?,
              *given.values_at("cells", "veil", "shape"),
              *taken.flat_map { |box| box.to_a.map { |mm| mm.round(2) } }
            ]
          )
        end

      # What is written on the ground: a Notes::Drawing.
      def notes(sheet, view) =
        sheet.once(:notes, id) do
          Notes::Drawing.new(sheet.book.contents.notes, view, ->(wkb) { sheet.brought(wkb, view) })
        end

      # Labels are moved by hand in the main frame of a page.
      def by_hand(sheet)
        (sheet.main_frame&.id == id) ? sheet.labels_by_hand : Symbology::Labels::HandSet::NONE
      end

      # Of which its legend tells: nil where it shows all of its box.
      def ground_seen(sheet, view)
        outline = Geometry::Geos.polygon(view.to_ground(ring(view))) unless plain?(view)
        clear = veil.clear(sheet, view) if veil&.hides?
        return outline || clear unless outline && clear
        outline.intersection(clear)
      end

      def cells_drawing(sheet, view) =
        sheet.once(:cells, id) do
          View::CellsDrawing.new(
            look: cells,
            cells: sheet.cells_of_part,
            view: view,
            face: typeface(cells.face),
            here: sheet.cell,
            passage: sheet.passage(sheet.book.crs, view),
            links: true
          )
        end

      def cell_nodes(sheet, view, drawn)
        return [] unless cells
        drawing = cells_drawing(sheet, view)
        texts = free_labels(drawing, drawn).map(&:first)
        clipped("cells", drawing.nodes + texts, view)
      end

      # Labels of cells that no label of a feature stands in the way of, where those come first.
      def free_labels(drawing, drawn)
        return drawing.labels if cells.first == "cells"
        drawing.labels.reject { |_, box| drawn.taken.any? { |other| other.intersects?(box) } }
      end

      MOST_NAMED = 8

      def cells_left_out(sheet, view)
        return [] unless cells
        drawing = cells_drawing(sheet, view)
        lost = drawing.labels.map(&:last) - free_labels(drawing, drawn(sheet, view)).map(&:last)
        names = drawing.missed + lost.map(&:name)
        return [] if names.empty?
        ["In “#{title}” the labels of #{names.length} cells do not fit: #{Sentences.listed(names, MOST_NAMED)}."]
      end
    end
  end
end
