# frozen_string_literal: true

module TileLoom
  module View
    module Labelled
      # An area: its largest part, as a whole where all of it is near, and as far as the frame shows it.
      class Area < Subject
        # What it costs to stand in the middle of what is seen of an area, not of the area.
        VISIBLE = 12
        # A sliver in the frame is nothing of the area: mm².
        SLIVER_MM2 = 0.5
        # What shows so much of itself shows all.
        ALL = 0.999

        def wanted
          shapes = shapes()
          return [] if shapes.empty?
          box = Geometry::Box.around(shapes.last.first)
          x, y = box.centre
          hand = hand()
          inside = -> { places(text_of(hand), shapes, :inside) }
          more = -> do
            places(text_of(hand), shapes, :outside) +
              short_places { |one| places(one, shapes, :inside) + places(one, shapes, :outside) }
          end
          label =
            if hand&.placed?
              by_hand = by_hand(hand, x, y, [box.width, box.height].min / 2)
              label(x, y, @visible, [by_hand], hand: hand, more: -> { inside.call + more.call })
            else
              label(x, y, @visible, inside.call, hand: hand, more: more)
            end
          [label].compact
        end

        private

        # Lists of rings in page mm: of the whole, of what is seen.
        def shapes
          whole = Geometry::Geos.read(@wkb)
          largest = largest_of(whole) or return []
          seen = seen(whole)
          @visible = !seen.nil?
          found = [(rings(largest) if near?(largest)), (rings(seen) if seen)]
          found[1] = nil if found[0] && seen && seen.area >= whole.area * ALL
          found.compact.reject(&:empty?)
        end

        def largest_of(geometry) = Geometry::Geos.parts(geometry).select { |part| part.area.positive? }.max_by(&:area)

        def near?(geometry)
          box, ground = Geometry::Geos.envelope(geometry), scope.ground
          ground.include?(box.min_x, box.min_y) && ground.include?(box.max_x, box.max_y)
        end

        # The largest part in the frame, or nil.
        def seen(whole)
          box = Geometry::Geos.envelope(whole)
          return nil unless box.intersects?(view.ground.box)
          frame = view.ground.shape
          return nil unless whole.intersects?(frame)
          largest = largest_of(whole.intersection(frame))
          largest if largest && largest.area > SLIVER_MM2 * view.units_per_mm**2
        end

        def rings(polygon)
          coarse = polygon.simplify(COARSE_MM * view.units_per_mm)
          coarse = polygon if coarse.empty?
          Geometry::Wkb
            .each_run(Geometry::Geos.write(coarse))
            .map { |_, run, _| view.to_page(run) }
            .select { |run| run.length >= 8 }
        end

        def places(text, shapes, kind) =
          shapes.each_with_index.flat_map do |rings, index|
            Labelling::AreaPlaces.new(text, rings, spec: rule.areas, base: index * VISIBLE).public_send(kind)
          end

        def by_hand(hand, x, y, half)
          middle = hand.at ? view.to_page(hand.at) : [x + hand.offset_mm[0], y + hand.offset_mm[1]]
          set_by_hand(text_of(hand), *middle, hand.rotation_deg, from: [x, y, half])
        end
      end
    end
  end
end
