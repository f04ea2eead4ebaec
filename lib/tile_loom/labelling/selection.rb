# frozen_string_literal: true

module TileLoom
  module Labelling
    # Chooses a place for each label, so that what has no place and what stands ill costs as little as can be found:
    # labels that do not touch one another are chosen by themselves; a few that do exactly, by branch and bound; many by
    # the best start and then by moving those that are in the way (local search). All counts in steps and in whole
    # numbers, so that the same labels come out the same anywhere.
    class Selection
      # Labels that want one another's room are looked through exactly where they are no more.
      EXACT = 14
      # Steps for each place that a group has, of moving and of looking through, and of each at the most.
      MOVING, MOST_MOVING, LOOKING, MOST_LOOKING = 30, 4_000, 150, 20_000
      # How many that are in the way are moved for one, and how far the moving goes on from them.
      MOST_MOVED, MOST_DEPTH = 3, 3

      # Of each label the number of its place among the places of all labels, or nil.
      attr_reader :chosen
      # Of all labels.
      attr_reader :total

      # unplaced_costs: what each label costs where it has no place; costs: of each label a list of what its places
      # cost, whole numbers; touching: pairs of places of different labels, numbered through all lists in order; held:
      # {label → place} to start from, which are moved only to make room for one that has none.
      def initialize(unplaced_costs:, costs:, touching:, held: {})
        @unplaced_costs, @held = unplaced_costs, held
        @first = [0]
        costs.each { |list| @first << @first.last + list.length }
        @cost = costs.flatten(1)
        @owner = costs.each_with_index.flat_map { |list, label| [label] * list.length }
        @near = Array.new(@cost.length) { [] }
        touching.each do |one, other|
          @near[one] << other
          @near[other] << one
        end
        @chosen = Array.new(unplaced_costs.length)
        @blocked = Array.new(@cost.length, 0)
        @total = unplaced_costs.sum
        @trail = []
        @looking = MOST_LOOKING
      end

      def solve
        @held.each { |label, place| put(label, place) if @blocked[place].zero? }
        groups.each { |labels| settle(labels) }
        self
      end

      def placed = @chosen.count { |place| place }

      private

      def cost_of(label) = (place = @chosen[label]) ? @cost[place] : @unplaced_costs[label]

      def put(label, place)
        @trail << label << nil
        @chosen[label] = place
        @total += @cost[place] - @unplaced_costs[label]
        near = @near[place]
        index = 0
        while index < near.length
          @blocked[near[index]] += 1
          index += 1
        end
      end

      def take(label)
        place = @chosen[label] or return
        @trail << label << place
        @chosen[label] = nil
        @total += @unplaced_costs[label] - @cost[place]
        near = @near[place]
        index = 0
        while index < near.length
          @blocked[near[index]] -= 1
          index += 1
        end
      end

      # As it was when so much was on the trail.
      def back_to(mark)
        while @trail.length > mark
          place, label = @trail.pop, @trail.pop
          place ? put(label, place) : take(label)
          @trail.pop(2)
        end
      end

      # Labels that want one another's room, in lists.
      def groups
        parent = (0...@unplaced_costs.length).to_a
        @near.each_with_index do |others, place|
          one = others.empty? ? nil : root(parent, @owner[place])
          others.each do |other|
            next if other < place
            two = root(parent, @owner[other])
            one, two = two, one if two < one
            parent[two] = one
          end
        end
        (0...@unplaced_costs.length).group_by { |label| root(parent, label) }.values
      end

      def root(parent, label)
        label = parent[label] = parent[parent[label]] while parent[label] != label
        label
      end

      def settle(labels)
        start(labels)
        return if best?(labels)
        @steps = [labels.sum { |label| @first[label + 1] - @first[label] } * MOVING, MOST_MOVING].min
        improve(labels)
        look_through(labels) if @held.empty? && labels.length <= EXACT && !best?(labels)
      end

      # Can none of them cost less?
      def best?(labels) = labels.all? { |label| cost_of(label) <= least(label) }

      def least(label) =
        (@least ||= {})[label] ||= [@unplaced_costs[label], *@cost[@first[label]...@first[label + 1]]].min

      # Those that are worth most, and of these those that the fewest want the room of, have their places first.
      def start(labels)
        labels
          .reject { |label| @chosen[label] }
          .sort_by do |label|
            [-@unplaced_costs[label], (@first[label]...@first[label + 1]).sum { |place| @near[place].length }, label]
          end
          .each { |label| cheapest(label)&.then { |place| put(label, place) } }
      end

      # The place of a label that nothing stands in the way of, of equal ones that which is in the way of the fewest;
      # nil where losing it costs less.
      def cheapest(label)
        best = nil
        cost = @unplaced_costs[label]
        place = @first[label]
        last = @first[label + 1]
        while place < last
          if @blocked[place].zero? &&
              (@cost[place] < cost || (best && @cost[place] == cost && @near[place].length < @near[best].length))
            best, cost = place, @cost[place]
          end
          place += 1
        end
        best
      end

      # Moves what is in the way for as long as that makes the whole cheaper.
      def improve(labels)
        again = true
        while again && @steps.positive?
          again = false
          labels.each do |label|
            next if cost_of(label) <= least(label) || (@held.any? && @chosen[label])
            again = true if better?(label, MOST_DEPTH)
          end
        end
        @trail.clear
      end

      # Finds a cheaper place for a label for which others move, and with which all cost less than before.
      def better?(label, depth)
        mark, before, mine = @trail.length, @total, cost_of(label)
        places = (@first[label]...@first[label + 1]).select { |place| @cost[place] < mine }
        places
          .sort_by { |place| [@cost[place], place] }
          .each do |place|
            return false if (@steps -= 1).negative?
            moved = in_way(place)
            next if moved.length > MOST_MOVED
            take(label)
            moved.each { |other| take(other) }
            put(label, place)
            moved.each { |other| moved_on(other, depth) }
            return true if @total < before
            back_to(mark)
          end
        false
      end

      def moved_on(label, depth)
        free = cheapest(label)
        if free
          put(label, free)
        elsif depth > 1
          better?(label, depth - 1)
        end
      end

      # Labels that stand where a place would be.
      def in_way(place) = @near[place].filter_map { |other| @owner[other] if @chosen[@owner[other]] == other }.uniq

      # Branch and bound: as long as its steps last, all ways in which these labels may stand that could cost less.
      def look_through(labels)
        order =
          labels.sort_by { |label| [-(@first[label]...@first[label + 1]).sum { |place| @near[place].length }, label] }
        @best, @best_total = labels.map { |label| @chosen[label] }, @total
        @left = [labels.sum { |label| @first[label + 1] - @first[label] } * LOOKING, @looking].min
        @looking -= @left
        labels.each { |label| take(label) }
        branch(order, 0, labels)
        @looking += [@left, 0].max
        labels.each { |label| take(label) }
        labels.zip(@best) { |label, place| put(label, place) if place }
        @trail.clear
      end

      def branch(order, index, labels)
        if index == order.length
          @best, @best_total = labels.map { |label| @chosen[label] }, @total if @total < @best_total
          return
        end
        return if (@left -= 1).negative? || bound(order, index) >= @best_total
        label = order[index]
        (@first[label]...@first[label + 1])
          .select { |place| @blocked[place].zero? && @cost[place] < @unplaced_costs[label] }
          .sort_by { |place| [@cost[place], place] }
          .each do |place|
            put(label, place)
            branch(order, index + 1, labels)
            take(label)
            @trail.pop(4)
          end
        branch(order, index + 1, labels)
      end

      # What all cost at the least with those before the index as they stand.
      def bound(order, index)
        sum = @total
        while index < order.length
          label = order[index]
          cost = @unplaced_costs[label]
          place = @first[label]
          last = @first[label + 1]
          while place < last
            cost = @cost[place] if @cost[place] < cost && @blocked[place].zero?
            place += 1
          end
          sum += cost - @unplaced_costs[label]
          index += 1
        end
        sum
      end
    end
  end
end
