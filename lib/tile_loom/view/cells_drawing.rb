# frozen_string_literal: true

module TileLoom
  module View
    # The cells of an index in a view: their outlines, the one that is set off, what is written in them, and where they
    # lead to.
    class CellsDrawing
      # look: a Frames::Cells; cells: Index::Cell list; here: the one that is set off, or nil; face: of the labels;
      # passage: from the book's reference to the view's (Crs::Passages), or nil where they are the same; links: do they
      # lead to their sheets?
      def initialize(look:, cells:, view:, face:, here: nil, passage: nil, links: true)
        @look, @cells, @view, @face, @here, @passage, @links = look, cells, view, face, here, passage, links
      end

      # Scene nodes without the labels.
      def nodes = [*this, *outlines, *(@links ? links : [])]

      # [Scene::Text, its box in page mm, its cell] of each cell that has room for its label.
      def labels = @labels ||= (@look.labels == "none") ? [] : shown.filter_map { |cell| label(cell) }

      # Names of cells whose labels have no room in them.
      def missed = (@look.labels == "none") ? [] : shown.map(&:name) - labels.map { |_, _, cell| cell.name }

      private

      # Cells that the frame shows something of.
      def shown
        @shown ||=
          @cells.select { |cell| rings(cell).any? { |ring| Geometry::Box.around(ring).intersects?(@view.frame) } }
      end

      # Flat rings in page mm.
      def rings(cell)
        (@rings ||= {}.compare_by_identity)[cell] ||= begin
          corners = cell.ground.corners
          runs = @passage ? @passage.rings([corners + corners.first(2)]) : [corners]
          runs.map { |run| @view.to_page(run) }
        end
      end

      def outlines
        runs = shown.flat_map { |cell| rings(cell) }
        return [] if runs.empty? || (@look.width_mm.zero? && @look.fill.nil?)
        stroke =
          (Scene::Stroke.new(colour: @look.colour, width_mm: @look.width_mm, join: "miter") if @look.width_mm.positive?)
        # Cells that overlap are filled each by itself, not even and odd.
        fills =
          @look.fill ? shown.map { |cell| Scene::Path.new(runs: rings(cell), closed: true, fill: @look.fill) } : []
        [*fills, *(stroke ? [Scene::Path.new(runs: runs, closed: true, stroke: stroke)] : [])]
      end

      # The one that is set off differs in area and in line, not in colour alone.
      def this
        return [] unless @here && @look.this_sheet?
        runs = rings(@here)
        return [] if runs.empty?
        [
          Scene::Path.new(
            runs: runs,
            closed: true,
            fill: Scene::Fill.new(colour: @look.this_colour, opacity: 0.55),
            stroke: Scene::Stroke.new(colour: @look.this_colour, width_mm: 0.6, join: "miter")
          )
        ]
      end

      # Cells that a finger can meet lead to their sheets.
      def links =
        shown.filter_map do |cell|
          ring = rings(cell).first
          box = Geometry::Box.around(ring)
          next if [box.width, box.height].min < LEAST_LINK_MM || cell == @here
          Scene::Link.new(ring: ring, sheet: cell.number, words: "Sheet #{cell.name}")
        end

      LEAST_LINK_MM = 1.5
      LEAST_PT, MOST_PT = 2.5, 14

      def text(cell)
        case @look.labels
        when "numbers"
          cell.number.to_s
        when "both"
          (cell.name == cell.number.to_s) ? cell.name : "#{cell.number}  #{cell.name}"
        else
          cell.name
        end
      end

      # Only where it is smaller than its cell; one of a given size as large as it is given.
      def label(cell)
        box = Geometry::Box.around(rings(cell).first)
        string = text(cell)
        size_pt = @look.size_pt || size_for(box, string)
        return nil if size_pt < LEAST_PT || (@look.size_pt && @face.width_mm(string, size_pt) > box.width)
        node =
          Scene::Text.about(
            box.centre,
            string: string,
            face: @face,
            size_pt: size_pt,
            colour: @look.colour,
            halo: Scene::Stroke.new(colour: @look.halo, width_mm: size_pt * 0.06)
          )
        [node, Geometry::Box.around(node.corners), cell]
      end

      def size_for(box, string)
        size_pt = (box.height * 0.34 / Type::Face::MM_PER_PT).clamp(0, MOST_PT)
        return 0 unless size_pt.positive?
        [size_pt, size_pt * box.width * 0.9 / @face.width_mm(string, size_pt)].min
      end
    end
  end
end
