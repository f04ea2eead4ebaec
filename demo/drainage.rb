# frozen_string_literal: true

module Demo
  # Water on the terrain: hollows are filled from the rim inwards (priority flood, Barnes et al. 2014),
  # each place drains to the neighbour it was reached from or a steeper one, and the flow is added up
  # (D8, O'Callaghan & Mark 1984). Streams are cut in a little, so that contours bend up each gully.
  class Drainage
    NEIGHBOURS = [[-1, -1], [-1, 0], [-1, 1], [0, -1], [0, 1], [1, -1], [1, 0], [1, 1]].freeze

    attr_reader :flow, :filled

    def initialize(field)
      @field = field
      @rows, @columns = HeightField::ROWS, HeightField::COLUMNS
      flood
      accumulate
    end

    # Chains of [row, column] that run downhill where at least `least` places drain through, each from
    # its source to where it joins one that was there before.
    def streams(least)
      fed = Hash.new(false)
      wet = places.select { |row, column| @flow[row][column] >= least }
      wet.each { |place| fed[@down[place]] = true if @down[place] }
      seen = {}
      wet
        .reject { |place| fed[place] }
        .sort_by { |place| [-length_down(place), *place] }
        .filter_map do |place|
          chain = [place]
          while (following = @down[chain.last])
            seen[chain.last] = true
            chain << following
            break if seen[following]
          end
          seen[chain.last] = true
          chain if chain.length > 8
        end
    end

    # Lowers the terrain along the water, deeper where more flows.
    def carve
      cut = Hash.new(0.0)
      places.each do |row, column|
        depth = (Math.log(@flow[row][column] / 70.0) * 0.8).clamp(0, 4.0)
        next if depth.zero?
        cut[[row, column]] = [cut[[row, column]], depth].max
        around([row, column]).each { |near| cut[near] = [cut[near], depth * 0.45].max }
      end
      cut.each do |(row, column), depth|
        @field.grid[row][column] -= depth if @filled[row][column] - @field.grid[row][column] < 0.5
      end
    end

    private

    def places = @places ||= (0...@rows).to_a.product((0...@columns).to_a)

    def around(place)
      NEIGHBOURS
        .map { |dr, dc| [place[0] + dr, place[1] + dc] }
        .select { |r, c| r.between?(0, @rows - 1) && c.between?(0, @columns - 1) }
    end

    def length_down(place)
      count = 0
      count += 1 while (place = @down[place])
      count
    end

    def flood
      @filled = Array.new(@rows) { Array.new(@columns) }
      @down = {}
      heap = Heap.new
      places.each do |row, column|
        next unless row.zero? || column.zero? || row == @rows - 1 || column == @columns - 1
        heap.push([@filled[row][column] = @field.grid[row][column], row, column])
      end
      @order = []
      while (height, row, column = heap.pop)
        @order << [row, column]
        around([row, column]).each do |r, c|
          next if @filled[r][c]
          @filled[r][c] = [@field.grid[r][c], height + 1e-4].max
          @down[[r, c]] = [row, column]
          heap.push([@filled[r][c], r, c])
        end
      end
    end

    def accumulate
      @down.each_key do |place|
        @down[place] = around(place).min_by do |near|
          (@filled[near[0]][near[1]] - @filled[place[0]][place[1]]) /
            ((near[0] == place[0] || near[1] == place[1]) ? 1.0 : 1.4142)
        end
      end
      @flow = Array.new(@rows) { Array.new(@columns, 1) }
      @order
        .sort_by { |row, column| [-@filled[row][column], row, column] }
        .each do |row, column|
          following = @down[[row, column]] or next
          @flow[following[0]][following[1]] += @flow[row][column]
        end
    end
  end
end
