# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    module Looks
      # What the looks have in common: the stroke, the heavier one of every nth line, a halo below.
      class Look
        extend Values::Kind
        extend Values::OwnParts

        SIZE =
          Values::Part.new(
            :size_mm,
            Values::Number.new(above: 0, most: 50),
            default: 0.6,
            about: "Of dots and squares."
          )
        HALO_MM = 0.3

        # grid: a Grid.
        def initialize(grid, gaps: [])
          @grid, @gaps = grid, gaps
        end

        private

        def stroke = @grid.stroke

        def every = @grid.index_lines&.every

        # Of every nth line; twice as wide where nothing else is said.
        def major_stroke = @grid.index_stroke

        # Paths of both levels over their halo. minor, major: flat runs.
        def strokes(minor, major)
          levels = [[minor, stroke], [major, major_stroke]].reject { |runs, _| runs.empty? }
          levels.filter_map { |runs, line| halo(runs, line) } +
            levels.map { |runs, line| Scene::Path.new(runs: runs, closed: false, stroke: line) }
        end

        def halo(runs, line)
          return nil unless @grid.halo
          Scene::Path.new(runs: runs, closed: false, stroke: rim(line.width_mm))
        end

        # The stroke of a halo round something so wide.
        def rim(width_mm)
          given = @grid.halo
          Scene::Stroke.new(colour: given.colour, width_mm: width_mm + 2 * (given.width_mm || HALO_MM))
        end

        # Short lines from the frame's edge along the lines that cross it. inside, outside: lengths in mm.
        def edge_ticks(mesh, inside:, outside: 0.0)
          ticks =
            mesh.crossings.values.flatten.map do |crossing|
              dx, dy = crossing.inward
              [
                crossing.line.major?(every),
                [
                  crossing.x - dx * outside,
                  crossing.y - dy * outside,
                  crossing.x + dx * inside,
                  crossing.y + dy * inside
                ]
              ]
            end
          ticks
            .partition { |major, _| !major }
            .map do |list|
              list
                .map(&:last)
                .flat_map { |tick| outside.zero? ? Geometry::SegmentClip.polyline(tick, mesh.view.frame) : [tick] }
            end
        end

        # Areas of both levels over their halo; paths at the nodes by the block, which gets a node and the size in mm.
        def shapes(mesh, &block)
          size = @grid.size_mm
          minor, major = mesh.nodes.partition { |node| !node.major?(every) }
          [[minor, size, stroke], [major, size * 1.8, major_stroke]].reject { |nodes, *| nodes.empty? }
            .map do |nodes, width, line|
              halo = @grid.halo && rim(0)
              runs = nodes.map { |node| block.call(node, width) }
              [
                *(halo && [Scene::Path.new(runs: runs, closed: true, stroke: halo)]),
                Scene::Path.new(
                  runs: runs,
                  closed: true,
                  fill: Scene::Fill.new(colour: line.colour, opacity: line.opacity)
                )
              ]
            end
            .flatten
        end
      end
    end
  end
end
