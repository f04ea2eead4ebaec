# frozen_string_literal: true

module TileLoom
  module Crs
    # The part of the earth that a view of the globe shows: what lies within so many degrees of its centre, on a sphere.
    # Lines and areas are cut at that circle, edges between vertices being arcs of great circles. Areas go by the
    # direction of their rings (the inside on the left, RFC 7946, 3.1.6), so that one that holds a pole, or the far side
    # of the earth, is cut like any other.
    class Horizon
      RADIANS = Math::PI / 180
      # Arcs are followed in steps of so many degrees: of great circles, and of the horizon itself.
      STEP_DEG, RIM_STEP_DEG = 2.0, 1.0
      # So far inside the horizon things are cut, in degrees, so that a projection that ends there knows them all.
      INSIDE_DEG = 1e-3

      # Unit vectors of a flat run of degrees.
      def self.vectors(run) = run.each_slice(2).map { |lon, lat| vector(lon, lat) }

      def self.vector(lon_deg, lat_deg)
        lon, lat = lon_deg * RADIANS, lat_deg * RADIANS
        cos = Math.cos(lat)
        [cos * Math.cos(lon), cos * Math.sin(lon), Math.sin(lat)]
      end

      attr_reader :reach_deg

      # lon_deg, lat_deg: of the centre; reach_deg: up to 180.
      def initialize(lon_deg, lat_deg, reach_deg)
        @reach_deg = reach_deg
        @centre = self.class.vector(lon_deg, lat_deg)
        lon, lat = lon_deg * RADIANS, lat_deg * RADIANS
        @east = [-Math.sin(lon), Math.cos(lon), 0.0]
        @north = [-Math.sin(lat) * Math.cos(lon), -Math.sin(lat) * Math.sin(lon), Math.cos(lat)]
        @rim = (reach_deg - INSIDE_DEG) * RADIANS
        @cos = Math.cos(@rim)
      end

      # Is a place in view?
      def include?(lon, lat) = dot(self.class.vector(lon, lat), @centre) >= @cos

      # The circle itself, as a closed flat run of degrees, counter-clockwise as it is seen.
      def circle = degrees(closed(rim(0.0, 2 * Math::PI)))

      # The parts of a line (flat degrees) that are in view.
      def line(run)
        points = self.class.vectors(run)
        return [] if points.length < 2
        chains(points, closed: false).map { |chain| degrees(followed(chain)) }
      end

      # The rings that bound what is in view of an area; rings: closed flat runs of degrees, the inside on their left.
      def area(rings) = area_of(rings.map { |ring| self.class.vectors(ring) })

      # The same of closed rings of unit vectors, which many views may share.
      def area_of(rings)
        whole, crossing = [], []
        rings.each do |ring|
          points = (ring.length > 1 && ring.first == ring.last) ? ring[0...-1] : ring
          next if points.length < 3
          found = chains(points, closed: true)
          if found == :all
            whole << points
          else
            crossing.concat(found)
          end
        end
        return joined(crossing) + finished(whole) if crossing.any?
        around = holds_rim?(rings) ? [circle] : []
        around + finished(whole)
      end

      private

      def finished(rings) = rings.map { |ring| degrees(followed(closed(ring))) }

      def closed(points) = [*points, points.first]

      # Unit vectors of the parts in view; of a ring that is all in view, :all.
      def chains(points, closed:)
        inside = points.map { |point| dot(point, @centre) >= @cos }
        return closed ? :all : [points] if inside.all?
        return [] if inside.none?
        walk(points, inside, closed)
      end

      def walk(points, inside, closed)
        count = points.length
        # A ring is walked from a place out of view.
        start = closed ? inside.index(false) : 0
        found, chain = [], ((!closed && inside[0]) ? [points[0]] : nil)
        (closed ? count : count - 1).times do |step|
          from, to = (start + step) % count, (start + step + 1) % count
          if inside[from] != inside[to]
            edge = crossing(points[from], points[to])
            if inside[to]
              chain = [edge, points[to]]
            else
              found << [*chain, edge]
              chain = nil
            end
          elsif inside[to]
            chain << points[to]
          end
        end
        found << chain if chain
        found
      end

      # Where the arc from one place to another meets the horizon, by halving: at most 40 times, so to a hair.
      def crossing(from, to)
        near, far = (dot(from, @centre) >= @cos) ? [from, to] : [to, from]
        40.times do
          middle = unit([near[0] + far[0], near[1] + far[1], near[2] + far[2]])
          (dot(middle, @centre) >= @cos) ? near = middle : far = middle
        end
        near
      end

      # Chains whose ends are on the horizon, joined along it with the inside on the left.
      def joined(chains)
        starts = chains.map { |chain| azimuth(chain.first) }
        left = chains.each_index.to_a
        rings = []
        until left.empty?
          first = at = left.first
          ring = []
          loop do
            left.delete(at)
            ring.concat(followed(chains[at]))
            from = azimuth(chains[at].last)
            following = chains.each_index.min_by { |index| (starts[index] - from) % (2 * Math::PI) }
            ring.concat(rim(from, (starts[following] - from) % (2 * Math::PI)))
            at = following
            break if at == first || !left.include?(at)
          end
          rings << degrees(closed(ring))
        end
        rings
      end

      # Places of the horizon from an angle on, counter-clockwise as it is seen, without those of its ends.
      def rim(from, sweep)
        steps = [(sweep / (RIM_STEP_DEG * RADIANS)).ceil, 1].max
        (((sweep > 6.28) ? 0 : 1)...steps).map { |step| rim_place(from + sweep * step / steps) }
      end

      def rim_place(angle)
        along, across = Math.sin(@rim) * Math.cos(angle), Math.sin(@rim) * Math.sin(angle)
        3.times.map { |axis| @centre[axis] * @cos + @east[axis] * along + @north[axis] * across }
      end

      # Of a place on the horizon, counter-clockwise from the right as it is seen.
      def azimuth(point) = Math.atan2(dot(point, @north), dot(point, @east))

      # Is the horizon inside an area none of whose rings meets it? Seen in a stereographic projection from a place of
      # the horizon, rings that have their inside on the left go round it the right way as long as that place is not
      # in it (Green's theorem: the areas of all add up to that of the inside, or to less than nothing).
      def holds_rim?(rings)
        points = rings.flatten(1)
        return false if points.empty? || beyond?(rings.first)
        # The place that is furthest from all vertices.
        pole = poles.min_by { |place| points.map { |point| dot(point, place) }.max }
        seen_from(pole, rings).negative?
      end

      # Is some place of the horizon further from a vertex of a small area than any of its others, so that the area does
      # not reach it? (Small is less than a quarter of the sphere, if the inside is the smaller side.)
      def beyond?(ring)
        nearest = ring.map { |point| dot(point, ring[0]) }.min
        nearest > SMALL && poles.any? { |place| dot(place, ring[0]) < nearest } &&
          seen_from(ring[0].map { |part| -part }, [ring]).positive?
      end

      SMALL = Math.cos(60 * RADIANS)

      def poles = @poles ||= (0...8).map { |step| rim_place(0.1 + step * Math::PI / 4) }

      # Twice the signed area of rings in a stereographic projection from a place.
      def seen_from(pole, rings)
        u = unit(cross(pole, (pole[2].abs < 0.9) ? [0.0, 0.0, 1.0] : [1.0, 0.0, 0.0]))
        v = cross(u, pole)
        rings.sum { |run| turned(run, pole, u, v) }
      end

      def turned(run, pole, u, v)
        flat =
          run.map do |point|
            k = 1.0 / (1 - dot(point, pole))
            [k * dot(point, u), k * dot(point, v)]
          end
        flat.each_cons(2).sum { |(x1, y1), (x2, y2)| x1 * y2 - x2 * y1 }
      end

      # With places between that follow the arcs.
      def followed(points) = points.each_cons(2).flat_map { |from, to| arc(from, to, MOST_HALVINGS) } << points.last

      MOST_HALVINGS = 14
      STEP, TURN = Math.cos(STEP_DEG * RADIANS), 3 * RADIANS

      # Places of an arc without its end. Round the far side of the earth, which all projections pull apart, no step
      # goes round the centre by more than a few degrees.
      def arc(from, to, halvings)
        return [from] if halvings.zero? || (dot(from, to) >= STEP && !round?(from, to))
        middle = unit([from[0] + to[0], from[1] + to[1], from[2] + to[2]])
        arc(from, middle, halvings - 1) + arc(middle, to, halvings - 1)
      end

      def round?(from, to)
        return false if dot(from, @centre) > -0.5 && dot(to, @centre) > -0.5
        ((azimuth(to) - azimuth(from) + Math::PI) % (2 * Math::PI) - Math::PI).abs > TURN
      end

      def degrees(points) =
        points.flat_map { |x, y, z| [Math.atan2(y, x) / RADIANS, Math.atan2(z, Math.hypot(x, y)) / RADIANS] }

      def dot(a, b) = a[0] * b[0] + a[1] * b[1] + a[2] * b[2]

      def cross(a, b) = [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]]

      def unit(a)
        length = Math.sqrt(dot(a, a))
        length.zero? ? a : a.map { |part| part / length }
      end
    end
  end
end
