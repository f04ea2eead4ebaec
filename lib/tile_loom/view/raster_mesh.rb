# frozen_string_literal: true

module TileLoom
  module View
    # For each pixel of a picture on the page, the place on a raster that it shows. Places are reckoned at the nodes of
    # a mesh by our own transform and taken between them in equal steps; where that would leave the true place by more
    # than TOLERANCE, the mesh is divided, at last down to the pixel.
    class RasterMesh
      # In pixels of the picture.
      TOLERANCE = 0.1
      STEP = 32
      # A part of so many pixels a side is reckoned pixel by pixel.
      SMALLEST = 64
      NOWHERE = -1e6

      # A part of the picture: left, top, width, height in its pixels; index: a Vips::Image of two bands, [column, row]
      # on the raster's finest level of each pixel's middle, counted from the corner of the first; box: of these,
      # without what lies nowhere; whole: does all of it lie somewhere?
      Part = Struct.new(:left, :top, :width, :height, :index, :box, :whole)

      # width, height: of the picture in px; period: of the raster's columns round the earth, or nil. The block takes
      # flat [x, y] in pixels of the picture to the same on the raster.
      def initialize(width, height, period: nil, &place)
        @width, @height, @period, @place = width, height, period, place
      end

      def parts = divided(0, 0, @width, @height)

      private

      def divided(left, top, width, height)
        nodes = nodes(left, top, width, height)
        if nodes.all?(&:finite?) && true?(left, top, width, height, nodes)
          return [part(left, top, width, height, nodes)]
        end
        return [exact(left, top, width, height)].compact if [width, height].max <= SMALLEST
        across = (width > SMALLEST) ? [[left, width / 2], [left + width / 2, width - width / 2]] : [[left, width]]
        along = (height > SMALLEST) ? [[top, height / 2], [top + height / 2, height - height / 2]] : [[top, height]]
        along.product(across).flat_map { |(y, h), (x, w)| divided(x, y, w, h) }
      end

      def count(pixels) = (pixels / STEP.to_f).ceil + 1

      # Places at the nodes, row by row.
      def nodes(left, top, width, height)
        columns, rows = count(width), count(height)
        flat =
          (0...rows).flat_map do |row|
            (0...columns).flat_map { |column| [left + 0.5 + column * STEP, top + 0.5 + row * STEP] }
          end
        placed(flat)
      end

      # On the raster; with a period, as near to the middle one as it goes.
      def placed(flat)
        found = @place.call(flat)
        return found unless @period
        middle = found.each_slice(2).map(&:first).select(&:finite?).then { |list| list[list.length / 2] } or
          return found
        found.each_slice(2).flat_map { |x, y| [x.finite? ? x + ((middle - x) / @period).round * @period : x, y] }
      end

      # Within a cell of the mesh, as shares of its sides.
      INSIDE = [[0.5, 0.5], [0.2, 0.3], [0.7, 0.2], [0.8, 0.7], [0.3, 0.8]].freeze

      # Are places inside cells of the mesh what they are between its nodes?
      def true?(left, top, width, height, nodes)
        columns = count(width)
        cells = probes(columns - 1).product(probes(count(height) - 1)).product(INSIDE)
        flat =
          cells.flat_map { |(column, row), (u, v)| [left + 0.5 + (column + u) * STEP, top + 0.5 + (row + v) * STEP] }
        exact = @place.call(flat)
        cells.each_with_index.all? do |((column, row), (u, v)), index|
          first = row * columns + column
          off = [0, 1].map { |axis| exact[2 * index + axis] - between(nodes, first, columns, axis, u, v) }
          off[0] -= (off[0] / @period).round * @period if @period && off[0].finite?
          Math.hypot(*off) <= TOLERANCE * step(nodes, first, columns)
        end
      end

      # Pixels of the raster that one of the picture covers in a cell, by its area.
      def step(nodes, first, columns)
        [first + 1, first + columns].map do |node|
          Math.hypot(nodes[2 * node] - nodes[2 * first], nodes[2 * node + 1] - nodes[2 * first + 1])
        end
          .reduce(:*)**0.5 / STEP
      end

      def between(nodes, first, columns, axis, u, v)
        upper, lower =
          [first, first + columns].map { |node| nodes[2 * node + axis] * (1 - u) + nodes[2 * node + 2 + axis] * u }
        upper * (1 - v) + lower * v
      end

      MOST_PROBES = 12

      def probes(count)
        return (0...count).to_a if count <= MOST_PROBES
        (0...MOST_PROBES).map { |place| place * (count - 1) / (MOST_PROBES - 1) }
      end

      def part(left, top, width, height, nodes)
        mesh = image(nodes, count(width), count(height))
        index =
          mesh.affine(
            [STEP, 0, 0, STEP],
            interpolate: Vips::Interpolate.new("bilinear"),
            oarea: [0, 0, width, height],
            extend: :copy
          )
        Part.new(left, top, width, height, index, Geometry::Box.around(nodes), true)
      end

      # nil where nothing of it lies on the earth.
      def exact(left, top, width, height)
        flat = (0...height).flat_map { |row| (0...width).flat_map { |column| [left + column + 0.5, top + row + 0.5] } }
        found = placed(flat)
        known = found.each_slice(2).select { |x, y| x.finite? && y.finite? }
        return nil if known.empty?
        whole = known.length == width * height
        unless whole
          found = found.each_slice(2).flat_map { |x, y| (x.finite? && y.finite?) ? [x, y] : [NOWHERE, NOWHERE] }
        end
        Part.new(left, top, width, height, image(found, width, height), Geometry::Box.around(known.flatten), whole)
      end

      # Doubles, so that a place in a large raster keeps its hundredth of a pixel.
      def image(flat, width, height) = Vips::Image.new_from_memory_copy(flat.pack("d*"), width, height, 2, :double)
    end
  end
end
