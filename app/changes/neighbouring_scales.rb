# frozen_string_literal: true

module App
  # The standard scales on either side of a book's, each with the sheets that it takes, as far as those can be counted
  # in a moment; else what is known of them: more than a coarser scale takes, fewer than a finer one.
  class NeighbouringScales
    # settings: of the document; known: scale → count; the block counts the sheets of changed settings, or gives nil.
    def initialize(settings, known, &count)
      @settings, @known, @count = settings, known, count
    end

    # [{"scale", "count", "more_than" or "fewer_than"}], the finest first.
    def list
      scales = TileLoom::Index::StandardScales.beside(Book.core(@settings).index.scale)
      # From the coarsest on: where one cannot be counted, no finer one can.
      counts =
        scales
          .reverse
          .each_with_object({}) do |scale, found|
            given_up = found.key?(:given_up)
            found[scale] = @known[scale] || (given_up ? nil : @count.call(changed(scale)))
            found[:given_up] = true if found[scale].nil?
          end
      scales.map { |scale| {"scale" => scale, "count" => counts[scale], **bounds(scale, counts)} }
    end

    private

    # Of a plain grid: the fewest sheets are looked for at the scale that is chosen alone.
    def changed(scale) = MergePatch.apply(@settings, {"index" => {"scale" => scale, "fewest" => nil}})

    def bounds(scale, counts)
      return {} if counts[scale]
      known = counts.select { |other, count| other.is_a?(Numeric) && count }
      more = known.select { |other, _| other > scale }.values.max
      return {"more_than" => more} if more
      fewer = known.select { |other, _| other < scale }.values.min
      fewer ? {"fewer_than" => fewer} : {}
    end
  end
end
