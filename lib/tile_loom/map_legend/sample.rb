# frozen_string_literal: true

module TileLoom
  module MapLegend
    # What stands in a legend for the geometry of an area or a line. A kind is a file in samples/: it says for which
    # shape it is, and gives its runs in a box.
    class Sample
      extend Values::Kind

      # :area or :line.
      def self.shape(shape = nil) = shape ? @shape = shape : @shape

      # drawing: Artwork::Drawing of the book's own, for the sample that is one.
      def initialize(drawing = nil) = @drawing = drawing

      # Flat coordinates in page mm: rings of an area, or lines.
      def runs(box) = raise(NotImplementedError)

      private

      # Shares of the box, from its upper left, as one run.
      def within(box, shares) =
        shares.each_slice(2).flat_map { |x, y| [box.min_x + x * box.width, box.min_y + y * box.height] }
    end
  end
end
