# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # Everything that coordinate grids put into and round one map frame on one sheet: lines, border, ticks and
    # labels, with one placement for all of them.
    class Surround
      # How much heavier the edge of a zone is than the grid's lines.
      EDGE = 2.5

      # A grid with its meshes in this frame and its Labels (nil where it has none).
      Drawn =
        Struct.new(:grid, :meshes, :labels, keyword_init: true) do
          # The fixed number of decimals of its labels.
          def labels_decimals = grid.labels.decimals

          def nodes = [*meshes.flat_map { |mesh| grid.drawn(gaps: labels ? labels.gaps : []).nodes(mesh) }, *edges]

          # Where one zone ends and the next begins, a heavier line.
          def edges
            return [] unless meshes.length > 1
            runs = Zone.edges(meshes.first.view)
            stroke = grid.stroke.with(width_mm: grid.stroke.width_mm * EDGE, dash_mm: nil)
            runs.empty? ? [] : [Scene::Path.new(runs: runs, closed: false, stroke: stroke)]
          end
        end

      attr_reader :view

      # grids: Grid list; border: a BorderSpec or nil; paper: the page's Box or nil; like: see Grid#meshes; language:
      # a Languages::Language.
      def initialize(view:, grids: [], border: nil, paper: nil, like: nil, language: Languages::Language.english)
        @language = language
        @view, @border_spec, @paper, @like = view, border, paper, like
        @grids = grids.select { |grid| grid.drawn_on?(view) }
      end

      # Scene nodes below the layers of the ground.
      def under = drawn.select { |entry| entry.grid.under? }.flat_map(&:nodes)

      # Scene nodes above them: grids, border, letters of squares, labels.
      def over = [*lines, *round]

      # The grids that are drawn above the layers, without their labels.
      def lines = drawn.reject { |entry| entry.grid.under? }.flat_map(&:nodes)

      # Border, letters of squares and labels.
      def round
        [
          *(@border_spec ? border.nodes : []),
          *letters,
          *drawn.flat_map { |entry| entry.labels ? entry.labels.texts : [] }
        ]
      end

      # Drawn list of the grids of this sheet with their labels placed, in their order: the labels of one stand
      # outside those of the one before where both have a side.
      def drawn
        @drawn ||=
          begin
            letters
            offsets = Side::ALL.to_h { |side| [side, edge_room] }
            @grids.map do |grid|
              found = meshes[grid.id]
              labels =
                if grid.labels && found.any?
                  Labels.new(
                    meshes: found,
                    spec: grid.labels,
                    placement: placement,
                    face: grid.face,
                    language: @language,
                    offsets: offsets.dup,
                    drawn: grid.lines?
                  )
                end
              labels&.sides&.each { |side| offsets[side] = [offsets[side], labels.room(side)].max }
              Drawn.new(grid: grid, meshes: found, labels: labels)
            end
          end
      end

      # mm beyond the frame on each side.
      def room
        Side::ALL.to_h { |side| [side, [edge_room, *drawn.filter_map { |entry| entry.labels&.room(side) }].max] }
      end

      def border = @border ||= Borders.build(@border_spec || BorderSpec.plain, view: view, mesh: step_mesh)

      # How far the border and ticks reach beyond the frame, on every side.
      def edge_room = @edge_room ||= [@border_spec ? border.room_mm : 0.0, *@grids.map(&:ticks_outside_mm)].max

      private

      def meshes = @meshes ||= @grids.to_h { |grid| [grid.id, grid.meshes(view, like: @like)] }

      # The grid whose interval the border's steps have: the one that is named, else the first.
      def step_mesh
        steps = @border_spec&.steps || {}
        return nil if steps[:mm]
        id = steps[:grid] || @grids.first&.id
        (meshes[id] || meshes.values.first)&.first
      end

      def placement = @placement ||= LabelBox.new(paper: @paper)

      def letters
        @letters ||=
          @grids
            .select(&:squares)
            .flat_map do |grid|
              meshes[grid.id].flat_map do |mesh|
                SquareLetters.new(mesh: mesh, spec: grid.squares, placement: placement, face: grid.letters_face).texts
              end
            end
      end
    end
  end
end
