# frozen_string_literal: true

module TileLoom
  module View
    module Labels
      # An area: its largest part, as a whole where all of it is near, and as far as the frame shows it.
      class AreaSubject < Subject
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
          inside = -> { inside(text_of(hand), shapes) }
          more = -> do
            outside(text_of(hand), shapes) +
              short_places { |one| inside(one, shapes).map(&:place) + outside(one, shapes) }
          end
          label =
            if hand&.placed?
              by_hand = by_hand(hand, x, y, [box.width, box.height].min / 2)
              label(x, y, @visible, [by_hand], hand: hand, more: -> { inside.call.map(&:place) + more.call })
            else
              first, *rest = inside.call
              others = ->(_) { rest.map(&:place) }
              label(x, y, @visible, [first&.place].compact, hand: hand, others: others, more: more)
            end
          [label].compact
        end

        private

        # Lists of rings in page mm: of the whole, of what is seen.
        def shapes
          whole = Geometry::Geos.read(@wkb)
          largest = largest_of(whole) or return []
          box = Geometry::Geos.envelope(whole)
          all = view.ground.upright? && holds?(scope.frame_box, box)
          seen = all ? largest : seen(whole, box)
          @visible = !seen.nil?
          found = [(rings(largest) if all || holds?(scope.ground, box)), (rings(seen) if seen)]
          found[1] = nil if found[0] && seen && (all || seen.area >= whole.area * ALL)
          found.compact.reject(&:empty?)
        end

        def largest_of(geometry)
          parts = Geometry::Geos.parts(geometry)
          parts = parts.select { |part| part.area.positive? }
          parts.one? ? parts.first : parts.max_by(&:area)
        end

        def holds?(ground, box) = ground.include?(box.min_x, box.min_y) && ground.include?(box.max_x, box.max_y)

        # The largest part in the frame, or nil.
        def seen(whole, box)
          return nil unless box.intersects?(scope.frame_box)
          largest = largest_of(in_frame(whole))
          largest if largest && largest.area > SLIVER_MM2 * view.units_per_mm**2
        end

        def in_frame(whole)
          return whole.intersection(scope.frame_shape) unless view.ground.upright?
          scope.frame_box.then { |box| whole.clip_by_rect(box.min_x, box.min_y, box.max_x, box.max_y) }
        end

        def rings(polygon)
          coarse = polygon.simplify(COARSE_MM * view.units_per_mm)
          coarse = polygon if coarse.empty?
          Geometry::Wkb
            .each_run(Geometry::Geos.write(coarse))
            .map { |_, run, _| view.to_page(run) }
            .select { |run| run.length >= 8 }
        end

        # Labelling::DeferredCandidate list, the cheapest first.
        def inside(text, shapes) = places(text, shapes).flat_map(&:inside).sort_by.with_index { |one, i| [one.cost, i] }

        def outside(text, shapes) = places(text, shapes).flat_map(&:outside)

        def places(text, shapes) =
          shapes.each_with_index.map do |rings, index|
            Labelling::AreaCandidates.new(text, rings, spec: rule.areas, base: index * VISIBLE)
          end

        def by_hand(hand, x, y, half)
          middle = hand.at ? view.to_page(hand.at) : [x + hand.offset_mm[0], y + hand.offset_mm[1]]
          set_by_hand(text_of(hand), *middle, hand.rotation_deg, from: [x, y, half])
        end
      end
    end
  end
end
