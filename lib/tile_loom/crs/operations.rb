# frozen_string_literal: true

module TileLoom
  module Crs
    # Which operation a book uses between two datums. A pair that it says nothing of has the one that is chosen for the
    # area of the book's own reference. Values; they do not change.
    class Operations
      # datums: two names in order.
      Entry = Struct.new(:datums, :name)

      # entries: "operations" of the book document.
      def initialize(entries = [])
        @entries = (entries || []).map { |entry| Entry.new(entry["datums"].sort, entry["name"]).freeze }.freeze
      end

      NONE = new

      # For caches.
      def key = @entries.map(&:to_a)

      def to_a = @entries.map { |entry| {"datums" => entry.datums, "name" => entry.name} }

      def chosen(datums) = @entries.find { |entry| entry.datums == datums.sort }&.name

      # The DatumOperation between two references of different datums; crs: the book's. Refusal where the one that the
      # book names is not to be had here.
      def between(from, to, crs, box: crs.area_of_use)
        (one, other), = DatumOperation.ordered(from, to)
        wanted = chosen([one.datum, other.datum])
        found = DatumOperation.candidates(from, to, box)
        return found.first || raise(Refusal.new("crs.no_operation", from: one.datum, to: other.datum)) unless wanted
        found.find { |operation| operation.name == wanted } ||
          raise(
            Refusal.new("crs.operation_missing", operation: wanted, from: one.datum, to: other.datum, at: "/operations")
          )
      end

      # An operation that covers a box of degrees more accurately than one in use does, or nil.
      def better(from, to, box, used)
        found = DatumOperation.candidates(from, to, box).first
        return nil unless found&.accuracy_here && found.name != used.name
        (used.accuracy_here.nil? || found.accuracy_here < used.accuracy_here) ? found : nil
      end

      # With another choice for a pair of datums.
      def with(datums, name) =
        self.class.new(
          to_a.reject { |entry| entry["datums"] == datums.sort } + [{"datums" => datums.sort, "name" => name}]
        )

      # With a choice for the pair, none of it rough, where there is none yet; box: of the data in degrees, or nil for
      # the area of the book's reference.
      def including(from, to, crs, box: nil)
        (one, other), = DatumOperation.ordered(from, to)
        return self if one.datum == other.datum || from.bound? || to.bound? || chosen([one.datum, other.datum])
        found = between(from, to, crs, box: box || crs.area_of_use)
        found.ballpark? ? self : with([one.datum, other.datum], found.name)
      rescue Refusal
        self
      end
    end
  end
end
