# frozen_string_literal: true

module TileLoom
  module Data
    # A layer of a file, of which no more is read than what is looked at, until so much was looked at that reading all
    # of it costs little more.
    class WindowedLayer
      # All of a layer is read when windows have read such a part of it.
      SHARE = 1 / 8r
      # So many of the windows that were looked at last are kept at hand.
      KEPT = 4
      # About what is asked for, of its size: what lies on the edge of a sheet is asked for more than once.
      MARGIN = 0.02

      attr_reader :extent, :attribute_names

      # count: of its features; extent: about them all, a Box in the book's reference; names: of their attributes;
      # readings: of what meets a Box of the book's reference, or of all with nil, tells whether it was read before
      # (kept?) and gives the BlockFile (fetch); whole: the BlockFile of all, where it was read already.
      def initialize(count:, extent:, names:, readings:, whole: nil)
        @count, @extent, @attribute_names, @readings, @whole = count, extent, names, readings, whole
        @windows = []
        @read = 0
      end

      # The Features whose box meets a Box, all where it is nil, by their identities.
      def features(box) = (@whole || (box && window(box)) || whole).features(box)

      def telling_field
        return nil if @count > TellingField::MOST
        @telling ||= [TellingField.of(features(nil).map(&:attributes))]
        @telling.first
      end

      def raster = nil

      private

      # read: a BlockFile.
      Window =
        Struct.new(:box, :read) do
          def holds?(other) =
            other.min_x >= box.min_x && other.max_x <= box.max_x && other.min_y >= box.min_y && other.max_y <= box.max_y
        end
      private_constant :Window

      def whole = @whole ||= @readings.fetch(nil)

      # The BlockFile of a window that holds a box, of those at hand or read; nil where all of the layer is to be read.
      def window(box)
        known = @windows.find { |window| window.holds?(box) }
        @windows.delete(known) if known
        known ||= read(box.grow(box.width * MARGIN, box.height * MARGIN)) or return nil
        @windows.unshift(known)
        @windows.pop if @windows.length > KEPT
        known.read
      end

      def read(box)
        return nil if @read > @count * SHARE || @readings.kept?(nil)
        Window.new(box, @readings.fetch(box)).tap { |window| @read += window.read.count }
      end
    end
  end
end
