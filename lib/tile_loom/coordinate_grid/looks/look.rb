# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    module Looks
      # What the looks have in common: the stroke, the heavier one of every nth line, a halo below.
      class Look
        def initialize(settings, gaps: [])
          @settings, @gaps = settings, gaps
        end

        private

        def stroke = @stroke ||= TileLoom::Symbology::Symbol.stroke(@settings.fetch("stroke", {}))

        def every = @settings.dig("major", "every")

        # Of every nth line; twice as wide where nothing else is said.
        def major_stroke =
          @major_stroke ||=
            TileLoom::Symbology::Symbol.stroke(
              @settings
                .fetch("stroke", {})
                .merge("width_mm" => stroke.width_mm * 2)
                .merge(@settings.dig("major", "stroke") || {})
            )

        # Paths of both levels over their halo. minor, major: flat runs.
        def strokes(minor, major)
          levels = [[minor, stroke], [major, major_stroke]].reject { |runs, _| runs.empty? }
          levels.filter_map { |runs, line| halo(runs, line) } +
            levels.map { |runs, line| Scene::Path.new(runs: runs, closed: false, stroke: line) }
        end

        def halo(runs, line)
          given = @settings["halo"] or return nil
          Scene::Path.new(
            runs: runs,
            closed: false,
            stroke:
              Scene::Stroke.new(
                colour: given.fetch("colour", "#ffffff"),
                width_mm: line.width_mm + 2 * given.fetch("width_mm", 0.3).to_f
              )
          )
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
          size = @settings.fetch("size_mm", 0.6).to_f
          minor, major = mesh.nodes.partition { |node| !node.major?(every) }
          [[minor, size, stroke], [major, size * 1.8, major_stroke]].reject { |nodes, *| nodes.empty? }
            .map do |nodes, width, line|
              halo =
                @settings["halo"]&.then do |given|
                  Scene::Stroke.new(
                    colour: given.fetch("colour", "#ffffff"),
                    width_mm: 2 * given.fetch("width_mm", 0.3).to_f
                  )
                end
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
