# frozen_string_literal: true

module App
  # The transformations between datums of a book into which data is read: a pair that comes for the first time gets
  # one, the most accurate for the ground of the data.
  class ChosenOperations
    # entries: "operations" of the book document; reference: the book's.
    def initialize(entries, reference)
      @operations, @reference = TileLoom::Crs::Operations.new(entries), reference
    end

    # box: [west, south, east, north] of the data in degrees, or nil. The block gives a reader for the book's Crs.
    def reader(box: nil)
      reader = yield(crs)
      fresh = @operations.including(reader.source_reference, crs, crs, box: box)
      return reader if fresh.equal?(@operations)
      @operations = fresh
      yield crs
    end

    def crs = TileLoom::Crs::System.find(@reference, operations: @operations)

    # As the document has them; nil for none.
    def entries = @operations.to_a.presence
  end
end
