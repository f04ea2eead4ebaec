# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    module Borders
      # Alternating dark and light steps in one row or two. Their ends lie on the grid's lines as these go on
      # beyond the frame; which of two steps is dark follows from the grid's numbers, so that neighbouring
      # sheets go together. Corners are mitred, or solid blocks.
      class Banded < Border
        kind "banded", "banded", rank: 4
        part :rows, Values::Whole.new(1..2), default: 1
        part :dark, Values::Types::COLOUR, about: "The line's own colour where none is given."
        part :light, Values::Types::COLOUR, default: "#ffffff"
        part :corner_blocks, Values::Flag.new, default: false

        private

        def thickness = @spec.thickness_mm || 2.0

        def rows = @spec.rows

        def blocks? = @spec.corner_blocks?

        def body
          dark =
            (0...rows).flat_map { |row| Side::ALL.flat_map { |side| row_of(side, row) } } + (blocks? ? corners : [])
          [
            Scene::Path.new(
              runs: [outer.corners, inner.corners],
              closed: true,
              fill: Scene::Fill.new(colour: @spec.light)
            ),
            *(
              if dark.empty?
                []
              else
                [Scene::Path.new(runs: dark, closed: true, fill: Scene::Fill.new(colour: @spec.dark || stroke.colour))]
              end
            ),
            *between,
            outline(inner, thin),
            outline(outer)
          ]
        end

        def thin = @thin ||= stroke.with(width_mm: [stroke.width_mm, 0.2].min)

        def between = (1...rows).map { |row| outline(edge(row), thin) }

        # The row's inner edge; that of the row after the last is the border's outer one.
        def edge(row) = frame.grow(gap + thickness * row / rows)

        # Dark quadrilaterals of a side's row.
        def row_of(side, row)
          from, to = edge(row), edge(row + 1)
          ends = bounds(side, row)
          ends
            .each_cons(2)
            .with_index
            .filter_map do |(one, other), index|
              next unless (parity(side, one, other, index) + row).even?
              [
                *on(side, from, one.inner),
                *on(side, from, other.inner),
                *on(side, to, other.outer),
                *on(side, to, one.outer)
              ]
            end
        end

        # The side's steps at the row's two edges, with its corners.
        def bounds(side, row)
          low, high =
            Side
              .ends(side, edge(row))
              .zip(Side.ends(side, edge(row + 1)))
              .map { |near, far| Step.new(inner: along(side, near), outer: along(side, blocks? ? near : far)) }
          if blocks?
            low, high =
              [low, high].zip(Side.ends(side, inner))
                .map { |_, place| Step.new(inner: along(side, place), outer: along(side, place)) }
          end
          middle =
            steps(side).map do |step|
              Step.new(inner: at(step, row), outer: at(step, row + 1).clamp(low.outer, high.outer))
            end
          [low, *middle.select { |step| step.inner > low.inner + 1e-6 && step.inner < high.inner - 1e-6 }, high]
        end

        def along(side, place) = Side.level?(side) ? place[0] : place[1]

        # A step's place at a row's edge: it runs straight from the border's inner edge to its outer one.
        def at(step, row) = step.inner + (step.outer - step.inner) * row / rows

        # Even or odd by the grid's own count; evenly spaced steps by theirs.
        def parity(side, one, other, index)
          return index unless stepped?
          axis = @mesh.owner(side)
          value = @mesh.on_grid(on(side, inner, (one.inner + other.inner) / 2))[(axis == :x) ? 0 : 1]
          value.finite? ? ((value - @mesh.origin(axis)) / @mesh.interval(axis)).floor : index
        end

        def corners
          near, far = inner.corners.each_slice(2).to_a, outer.corners.each_slice(2).to_a
          near.zip(far).map { |(x1, y1), (x2, y2)| Geometry::Box.around([x1, y1, x2, y2]).corners }
        end
      end
    end
  end
end
