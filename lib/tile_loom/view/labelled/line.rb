# frozen_string_literal: true

module TileLoom
  module View
    module Labelled
      # A line: thinned as a whole and then cut, so that it is the same line on all sheets, and parted into stretches of
      # one label each that begin at its own start, so that it is labelled alike on all.
      class Line < Subject
        # The last stretch may be so much shorter than the others.
        LEAST_STRETCH = 0.5

        def wanted
          @number = -1
          found =
            Geometry::Geos
              .parts(Geometry::Geos.read(@wkb))
              .flat_map do |part|
                line = part.simplify(COARSE_MM * view.units_per_mm / 2)
                stretches(line)
              end
          shown = found.select { |label| label.shown && label.group }
          # One that has but one label here must have it.
          shown.first.lost = scope.worth(rule) if shown.one?
          found
        end

        private

        def near(whole)
          ground = scope.lines_ground
          box = Geometry::Geos.envelope(whole)
          return whole if box.nil? || (ground.include?(box.min_x, box.min_y) && ground.include?(box.max_x, box.max_y))
          whole.clip_by_rect(ground.min_x, ground.min_y, ground.max_x, ground.max_y)
        end

        # mm of the whole line at which its stretches end, from 0.
        def ends(line)
          total = line.length / view.units_per_mm
          count = [(total / rule.lines.repeat_mm + LEAST_STRETCH).floor, 1].max
          (0..count).map { |number| total * number / count }
        end

        def stretches(line)
          ends = ends(line)
          first_number = @number + 1
          @number += ends.length - 1
          Geometry::Geos
            .parts(near(line))
            .flat_map do |piece|
              course = course(piece, line) or next []
              first, last = course.span
              ends
                .each_cons(2)
                .with_index
                .filter_map do |(from, to), index|
                  stretch(course, from, to, first_number + index) unless to <= first || from >= last
                end
            end
        end

        def course(piece, line)
          return nil if piece.empty?
          run = view.to_page(Geometry::Wkb.each_run(Geometry::Geos.write(piece)).first[1])
          return nil if run.length < 4
          offset = piece.equal?(line) ? 0.0 : line.project(piece.point_n(0)) / view.units_per_mm
          Labelling::Course.along(run, offset: offset)
        end

        def places(text, course, from, to) =
          Labelling::LinePlaces.new(text, course, from, to, half_mm, spec: rule.lines, uphill: uphill)

        def half_mm = @half_mm ||= scope.drawing.width_of(feature) / 2

        def uphill
          return nil unless rule.lines.uphill?
          return @uphill if defined?(@uphill)
          @uphill = scope.drawing.uphill(feature, rule)
        end

        SEEN = [0, 0.25, 0.5, 0.75, 1].freeze

        def stretch(course, from, to, number)
          hand = hand(number)
          places = places(text_of(hand), course, from, to)
          x, y = places.middle_seen
          first, last = course.span
          low, high = [from, first].max, [to, last].min
          seen = SEEN.map { |share| course.at(course.station(low + (high - low) * share)) }
          return nil if seen.none? { |place| scope.lines_window.include?(*place) }
          shown = seen.any? { |place| view.frame.include?(*place) }
          by_hand = [by_hand(hand, places)].compact if hand&.placed?
          found = by_hand || places.best
          group = [rule.object_id, feature.id]
          label(x, y, shown, found, number: number, group: group, lost: LabelPlacing::LOST_AGAIN, hand: hand) do
            (by_hand ? places.best : []) + places.rest + short_places { |one| places(one, course, from, to).all } +
              beside(places)
          end
        end

        # A text that stands on its line stands nowhere else.
        def beside(places) = rule.lines.on? ? [] : places.beside

        # Along the line as near to the place as it can be, or straight where it is turned.
        def by_hand(hand, places)
          x, y = view.to_page(hand.at || [0, 0])
          return set_by_hand(text_of(hand), x, y, hand.rotation_deg) if hand.rotation_deg
          places.nearest(x, y) || set_by_hand(text_of(hand), x, y, 0)
        end
      end
    end
  end
end
