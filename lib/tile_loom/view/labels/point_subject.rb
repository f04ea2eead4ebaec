# frozen_string_literal: true

module TileLoom
  module View
    module Labels
      # A point, or the first of several that the frame shows.
      class PointSubject < Subject
        def wanted
          x, y = place
          return [] unless x && scope.window.include?(x, y)
          half = scope.drawing.half_of(feature)
          hand = hand()
          shown = view.frame.include?(x, y)
          make = ->(text) { Labelling::PointCandidates.new(text, x, y, half, spec: rule.points) }
          own = make.call(text_of(hand))
          more = -> { own.moved + short_places { |one| make.call(one).then { |all| all.beside + all.moved } } }
          label =
            if hand&.placed?
              label(x, y, shown, [by_hand(hand, x, y, half)], hand: hand, more: -> { own.beside + more.call })
            else
              label(x, y, shown, own.best, others: ->(_) { own.rest }, more: more, hand: hand)
            end
          [label].compact
        end

        private

        def by_hand(hand, x, y, half)
          dx, dy = hand.offset_mm || view.to_page(hand.at).then { |u, v| [u - x, v - y] }
          set_by_hand(text_of(hand), x + dx, y + dy, hand.rotation_deg, from: [x, y, half])
        end

        def place
          return view.to_page(@wkb.unpack("@5EE")) if @wkb.getbyte(1) == 1
          places = Geometry::Wkb.each_run(@wkb).map { |_, coordinates| view.to_page(coordinates) }
          places.find { |place| view.frame.include?(*place) } || places.first
        end
      end
    end
  end
end
