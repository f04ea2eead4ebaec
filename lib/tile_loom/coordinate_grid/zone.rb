# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # One zone of Universal Transverse Mercator on WGS 84 as a part of the ground: a grid of that zone is drawn
    # up to the meridian where the next one begins, and up to the equator.
    class Zone
      attr_reader :number

      # number: 1…60; south: of the equator; whole: it holds all of the view that it is asked about.
      def initialize(number, south, whole: false)
        @number, @south, @whole = number, south, whole
      end

      def south? = @south

      def whole? = @whole

      def code = format("EPSG:%d", (south? ? 32_700 : 32_600) + number)

      def crs = Crs::System.find(code)

      def include?(lon, lat) = lat.between?(-80, 84) && (lat < 0) == south? && Crs::Utm.zone(lon, lat) == number

      # The zones of a view, by their numbers from north to south.
      def self.of(view)
        box = view.frame.grow(Mesh::BEYOND_MM)
        # Zones begin and end on the frame's edge, but for a pole's.
        steps, ends = (0..32).map { |n| n / 32.0 }, [0.0, 0.5, 1.0]
        page = (steps.product(ends) + ends.product(steps)).flat_map { |u, v| box.place(u, v) }
        places =
          view
            .to_geographic
            .forward(view.to_ground(page))
            .each_slice(2)
            .select { |lon, lat| lon.finite? && lat.finite? && lat.between?(-80, 84) }
        whole = places.length == page.length / 2
        zones =
          places
            .map { |lon, lat| [Crs::Utm.zone(lon, lat), lat < 0] }
            .uniq
            .sort_by { |number, south| [south ? 1 : 0, number] }
        zones.map { |number, south| new(number, south, whole: whole && zones.length == 1) }
      end

      def on_page?(x, y, view) = inside([x, y], view).first

      # For each place of a flat page run: does it lie in the zone?
      def inside(run, view)
        return Array.new(run.length / 2, true) if @whole
        view
          .to_geographic
          .forward(view.to_ground(run))
          .each_slice(2)
          .map { |lon, lat| lon.finite? && lat.finite? && include?(lon, lat) }
      end

      # The meridians (and where a zone is wider, parts of them) at which zones of a view meet: flat page runs.
      def self.edges(view)
        mesh = Mesh.new(view: view, crs: Crs::System.find("EPSG:4326"), interval: {x: 3r, y: 90r})
        return [] if mesh.trouble
        mesh
          .lines
          .select { |line| line.axis == :x }
          .flat_map { |line| line.pieces.flat_map { |piece| parted(piece, line.value.to_f, view) } }
      end

      # East and west of a meridian by this much lie different zones.
      HAIR_DEG = 1e-7

      def self.parted(piece, lon, view)
        lats = view.to_geographic.forward(view.to_ground(piece)).each_slice(2).map(&:last)
        piece
          .each_slice(2)
          .zip(lats)
          .slice_when { |(_, one), (_, other)| part?(lon, one) != part?(lon, other) }
          .select { |run| part?(lon, run.first[1]) }
          .map { |run| run.flat_map(&:first) }
          .select { |run| run.length >= 4 }
      end

      # Does a place in degrees lie in the zone?
      def self.part?(lon, lat) =
        lat.between?(-80, 84) && Crs::Utm.zone(lon - HAIR_DEG, lat) != Crs::Utm.zone(lon + HAIR_DEG, lat)
      private_class_method :parted, :part?

      # Halvings of a chord of some millimetres until the edge is known to a ten thousandth of one.
      HALVINGS = 18

      # The parts of a flat page polyline that lie in the zone.
      def cut(run, view)
        return [run] if @whole
        points = run.each_slice(2).to_a
        inside = inside(run, view)
        parts, part = [], nil
        points.each_with_index do |point, index|
          if index.positive? && inside[index] != inside[index - 1]
            edge = edge(points[index - 1], point, inside[index - 1], view)
            inside[index] ? part = [*edge] : parts << (part + edge)
          end
          inside[index] ? (part ||= []).concat(point) : part = nil
        end
        parts << part if part
        parts.reject { |found| found.length < 4 }
      end

      private

      def edge(from, to, inside, view)
        HALVINGS.times do
          middle = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2]
          (on_page?(*middle, view) == inside) ? from = middle : to = middle
        end
        to
      end
    end
  end
end
