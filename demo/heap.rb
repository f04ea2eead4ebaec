# frozen_string_literal: true

module Demo
  # A binary heap of arrays, the smallest first.
  class Heap
    def initialize = @items = []

    def push(item)
      @items << item
      index = @items.length - 1
      while index.positive? && (@items[(index - 1) / 2] <=> @items[index]).positive?
        parent = (index - 1) / 2
        @items[parent], @items[index] = @items[index], @items[parent]
        index = parent
      end
    end

    def pop
      return nil if @items.empty?
      top = @items.first
      last = @items.pop
      return top if @items.empty?
      @items[0] = last
      sink
      top
    end

    private

    def sink
      index = 0
      loop do
        child = index * 2 + 1
        return if child >= @items.length
        child += 1 if child + 1 < @items.length && (@items[child + 1] <=> @items[child]).negative?
        return unless (@items[index] <=> @items[child]).positive?
        @items[index], @items[child] = @items[child], @items[index]
        index = child
      end
    end
  end
end
