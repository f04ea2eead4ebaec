# frozen_string_literal: true

module App
  # Parts of drawings that were worked out before, by all that they are drawn from: the ground of a sheet stays the same
  # while texts change round it. Of a process; the longest unused go first.
  class DrawnParts
    # Numbers of coordinates in all parts together, about 16 bytes each.
    MOST_NUMBERS = 4_000_000

    def initialize = @kept = TileLoom::RecentlyUsed.new(MOST_NUMBERS)

    # For a book: the same key of another book, or of other data, is another part.
    Scope = Struct.new(:parts, :name) { def fetch(key, &block) = parts.fetch([name, key], &block) }

    def scope(*name) = Scope.new(self, name)

    # The part of this key, worked out by the block where it is not there.
    def fetch(key) = @kept[key] || yield.tap { |part| keep(key, part) }

    # Forgets all of them.
    def clear = @kept.clear

    private

    def keep(key, part)
      size = numbers(part)
      @kept.keep(key, part, size) if size <= MOST_NUMBERS / 8
    end

    # What is filled and stroked counts once.
    def numbers(part, seen = {}.compare_by_identity)
      case part
      when TileLoom::Scene::Path
        seen[part.runs] ? 20 : (seen[part.runs] = true) && part.runs.sum(&:length) + 20
      when TileLoom::Scene::Group
        part.children.sum(20) { |child| numbers(child, seen) }
      when Array
        part.sum { |item| numbers(item, seen) }
      when Struct
        part.to_a.sum { |item| numbers(item, seen) }
      else
        20
      end
    end

    ALL = new
  end
end
