# frozen_string_literal: true

module TileLoom
  module Labelling
    # Places the labels of a frame: first as if the frame had no edge, with those of what lies round it, so that
    # neighbouring sheets find the same places for what both show; then what the frame has no room for there finds
    # another place, while the rest stays.
    class Placement
      # What it costs to cover a symbol of each hundredth of avoidance; at NEVER no label does.
      COVERED, NEVER = 2, 100
      # Above the number of any place, so that a pair of them is one number.
      MANY = 1 << 24

      # wanted: LabelRequest list; free_space: FreeSpace of the frame; symbols: Nearby of what labels avoid, as
      # [avoidance, layer id, feature id or nil for all of the layer].
      def initialize(wanted, free_space:, symbols: Nearby.new)
        @wanted, @free_space, @symbols = wanted, free_space, symbols
        @places = Array.new(wanted.length) { [] }
        @nearby = Nearby.new
        @touching = {}
        @all = []
        @owner = []
        @cost = []
        @contested = {}
        @waiting = []
        @extended = {}
      end

      # {index of a LabelRequest → Candidate} of those that have one.
      def solve
        @wanted.each_index { |label| admit(label, @wanted[label].places) }
        unfold
        chosen = choose(@wanted.each_index.to_a, {}) { true }
        seen = @wanted.each_index.select { |label| @wanted[label].shown }
        fits = Hash.new { |hash, place| hash[place] = @free_space.holds?(@all[place]) }
        held = chosen.select { |label, place| @wanted[label].shown && fits[place] }
        if held.length < seen.length
          seen.each { |label| contest(label) unless held[label] }
          unfold(@free_space.box)
          held = choose(seen, held) { |place| fits[place] }
        end
        held.transform_values { |place| @all[place] }
      end

      private

      # Takes places in, as far as they hide nothing that must be seen.
      def admit(label, places)
        wanted = @wanted[label]
        contest(label) if places.empty?
        places.each do |place|
          squares = place.footprints.map { |footprint| Nearby.squares(footprint) }
          # Whoever puts a label on a symbol by hand means it.
          cost = place.cost + (wanted.hand&.placed? ? 0 : covered(place, squares, wanted))
          contest(label) if cost > place.cost
          next if cost >= wanted.unplaced_cost
          number = @all.length
          @all << place
          @owner << label
          @cost << cost
          @places[label] << number
          place.footprints.each_with_index do |footprint, index|
            @nearby.each_touching(footprint, but: label, squares: squares[index]) { |other| touch(other, number) }
            @nearby.add(footprint, number, owner: label, squares: squares[index])
          end
        end
      end

      def touch(one, other)
        @touching[one * MANY + other] = true
        contest(@owner[one])
        contest(@owner[other])
      end

      # A label whose first place is the cheapest and in no one's way has no better one. The others are thought of where
      # that is not so.
      def contest(label)
        return if @contested[label]
        @contested[label] = true
        @waiting << label if @wanted[label].others
      end

      # within: Box of the page that they must lie in, or nil.
      def unfold(within = nil)
        while (label = @waiting.shift)
          admit(label, @wanted[label].others.call(within))
        end
      end

      def covered(place, squares, wanted)
        found = nil
        place.footprints.each_with_index do |footprint, index|
          @symbols.each_touching(footprint, squares: squares[index]) do |symbol|
            avoidance, layer, feature = symbol
            next if layer == wanted.layer.id && (feature.nil? || feature == wanted.feature.id)
            return wanted.unplaced_cost if avoidance >= NEVER
            (found ||= {}.compare_by_identity)[symbol] = true
          end
        end
        found ? (found.keys.sum(&:first) * COVERED).round : 0
      end

      # {label → place} of some labels, of places that the block allows; dearer places are asked for where these will
      # not do. held: {label → place} to start from.
      def choose(labels, held, &allowed)
        found = chosen(labels, held, &allowed)
        without = labels.reject { |label| found[label] || @extended[label] || @wanted[label].more.nil? }
        return found if without.empty?
        without.each do |label|
          @extended[label] = true
          admit(label, @wanted[label].more.call)
        end
        unfold
        chosen(labels, held, &allowed)
      end

      # A label whose places no other wants has the first, where that is allowed.
      def chosen(labels, held, &allowed)
        wanted, alone = labels.partition { |label| @contested[label] }
        found = alone.to_h { |label| [label, @places[label].find(&allowed)] }
        numbers = wanted.map { |label| @places[label].select(&allowed) }
        order = numbers.flatten(1)
        at = Array.new(@all.length)
        order.each_with_index { |place, index| at[place] = index }
        choice =
          Selection.new(
            unplaced_costs: wanted.map { |label| @wanted[label].unplaced_cost },
            costs: numbers.map { |list| list.map { |place| @cost[place] } },
            touching: near(at),
            held: wanted.each_with_index.filter_map { |label, index| held_at(index, held[label], at) }.to_h
          ).solve
        wanted.zip(choice.chosen) { |label, place| found[label] = place && order[place] }
        found.compact
      end

      def held_at(index, place, at) = (place && at[place]) ? [index, at[place]] : nil

      # Pairs of places that touch, by their numbers in `at`.
      def near(at)
        found = []
        @touching.each_key do |pair|
          first, second = at[pair / MANY], at[pair % MANY]
          found << [first, second] if first && second
        end
        found
      end
    end
  end
end
