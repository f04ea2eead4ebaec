# frozen_string_literal: true

module TileLoom
  module View
    module Labels
      # A line, parted into stretches of one label each that begin at its own start, so that it is labelled alike on all
      # sheets.
      class LineSubject < Subject
        # The last stretch may be so much shorter than the others.
        LEAST_STRETCH = 0.5

        def wanted
          @number = -1
          found = Geometry::Wkb.each_run(@wkb).flat_map { |_, run, _| (run.length < 4) ? [] : stretches(run) }
          shown = found.select { |label| label.shown && label.group }
          # One that has but one label here must have it.
          shown.first.unplaced_cost = scope.worth(rule) if shown.one?
          found
        end

        private

        def stretches(run)
          length, traces =
            Labelling::Trace.near(run, scope.lines_ground, view.units_per_mm) { |part| view.to_page(part) }
          count = [(length / rule.lines.repeat_mm + LEAST_STRETCH).floor, 1].max
          first = @number + 1
          @number += count
          traces.flat_map do |trace|
            from, to = [trace.from, trace.to].map { |mm| (mm * count / length).floor.clamp(0, count - 1) }
            (from..to).filter_map do |index|
              stretch(trace, length * index / count, length * (index + 1) / count, first + index)
            end
          end
        end

        def places(text, trace, from, to) =
          Labelling::LineCandidates.new(text, trace, from, to, half_mm, spec: rule.lines, uphill: -> { uphill })

        def half_mm = @half_mm ||= scope.drawing.width_of(feature) / 2

        def uphill
          return @uphill if defined?(@uphill)
          @uphill = scope.drawing.uphill(feature, rule)
        end

        SEEN = [0, 0.25, 0.5, 0.75, 1].freeze

        def stretch(trace, from, to, number)
          low, high = [from, trace.from].max, [to, trace.to].min
          seen = SEEN.map { |share| trace.place(low + (high - low) * share) }
          return nil if seen.none? { |place| scope.lines_window.include?(*place) }
          shown = seen.any? { |place| view.frame.include?(*place) }
          hand = hand(number)
          places = places(text_of(hand), trace, from, to)
          x, y = places.middle_seen
          more = -> { short_places { |one| places(one, trace, from, to).all } + beside(places) }
          same = {number: number, group: [rule.object_id, feature.id], unplaced_cost: Placing::LOST_AGAIN, hand: hand}
          if hand&.placed?
            label(x, y, shown, [by_hand(hand, places)].compact, **same, more: -> { places.all + more.call })
          else
            label(x, y, shown, places.best, **same, others: ->(within) { places.rest(within) }, more: more)
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
