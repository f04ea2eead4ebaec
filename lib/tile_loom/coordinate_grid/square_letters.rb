# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # The letters of the 100 km squares that a frame shows, each in the middle of what is seen of its square;
    # where there is but one, in the lower left corner, out of the way.
    class SquareLetters
      STEPS = 16
      # A square that shows less than this share of the frame is left without letters.
      LEAST_SHARE = 0.01
      FROM_CORNER_MM = 2.5

      # mesh: of the lettered grid; placement: shared with the labels; spec: a Squares100.
      def initialize(mesh:, spec:, placement:, face:)
        @mesh, @spec, @placement, @face = mesh, spec, placement, face
        @lettering = Squares.of(mesh.crs)
      end

      def texts
        return [] unless @lettering
        seen = visible
        seen.flat_map do |letters, places|
          x, y =
            if seen.length == 1 && single_zone?
              corner(letters)
            else
              places.transpose.map { |list| list.sum / list.length }
            end
          caption = Caption.new([letters])
          @placement.take(
            LabelBox::Spot.new(
              x: x,
              y: y,
              width: caption.width_mm(@face, size_pt),
              height: @face.cap_height_mm(size_pt),
              rotation_deg: 0.0
            )
          )
          caption.texts(
            x,
            y,
            face: @face,
            size_pt: size_pt,
            colour: @spec.colour,
            halo: Scene::Stroke.new(colour: "#ffffff", width_mm: size_pt * 0.05)
          )
        end
      end

      private

      def frame = @mesh.view.frame

      def size_pt = @spec.size_pt

      def single_zone? = !@mesh.zone || Zone.of(@mesh.view).length == 1

      # Letters → places in the frame where they are.
      def visible
        steps = (0...STEPS).map { |n| (n + 0.5) / STEPS }
        page = frame.lattice(steps)
        page = page.zip(@mesh.zone.inside(page.flatten, @mesh.view)).select(&:last).map(&:first) if @mesh.zone
        places =
          page
            .zip(@mesh.on_grid(page.flatten).each_slice(2))
            .group_by { |_, (east, north)| (east.finite? && north.finite?) ? @lettering.letters(east, north) : nil }
        places
          .reject { |letters, list| letters.nil? || list.length < LEAST_SHARE * STEPS * STEPS }
          .transform_values { |list| list.map(&:first) }
      end

      def corner(letters)
        [
          frame.min_x + FROM_CORNER_MM + Caption.new([letters]).width_mm(@face, size_pt) / 2,
          frame.max_y - FROM_CORNER_MM - @face.cap_height_mm(size_pt) / 2
        ]
      end
    end
  end
end
