# frozen_string_literal: true

module TileLoom
  module Data
    # A large layer of a file, of which no more is read than what is looked at: through the spatial index that its
    # format has, or that a copy of it gets. The first window is what is asked for; the more are asked for, the more of
    # the neighbourhood each of them takes along.
    class WindowedLayer
      # A layer of fewer features is read at once, more of them where its format has no spatial index.
      MANY, MANY_TO_COPY = 1_000, 5_000
      # So many features a window aims at; so many of the windows are kept.
      WANTED, KEPT = 30_000, 4
      # About what is asked for, of its size.
      MARGIN = 0.02

      attr_reader :extent, :attribute_names

      # count: of its features; extent: about them all, a Box in the book's reference; names: of their attributes. The
      # block reads the Features that meet a Box of the book's reference, or all of them with nil.
      def initialize(count:, extent:, names:, &read)
        @count, @extent, @attribute_names, @read = count, extent, names, read
        @windows = []
        @asked = 0
      end

      # The Features whose box meets a Box, all where it is nil, by their identities.
      def features(box)
        return @all ||= @read.call(nil) if box.nil?
        window(box).features(box)
      end

      def telling_field
        return nil if @count > TellingField::MOST
        @telling ||= [TellingField.of(features(nil).map(&:attributes))]
        @telling.first
      end

      def raster = nil

      private

      # Features that were read at once.
      class Window
        def initialize(box, features)
          @box = box
          @features = features.reject { |feature| feature.sides.empty? }
          @sides = @features.map(&:sides)
        end

        def holds?(box) =
          box.min_x >= @box.min_x && box.max_x <= @box.max_x && box.min_y >= @box.min_y && box.max_y <= @box.max_y

        def features(box)
          west, south, east, north = box.to_a
          found = []
          @sides.each_with_index do |(min_x, min_y, max_x, max_y), index|
            found << @features[index] if min_x <= east && max_x >= west && min_y <= north && max_y >= south
          end
          found
        end
      end
      private_constant :Window

      def window(box)
        known = @windows.find { |window| window.holds?(box) }
        @windows.delete(known) if known
        known ||= read(grown(box))
        @windows.unshift(known)
        @windows.pop if @windows.length > KEPT
        known
      end

      def read(box) = Window.new(box, @read.call(box).sort_by(&:id))

      # Once, as it is; then as large as holds the features that are wanted, where they lie evenly, at most twice as
      # wide and high as the time before.
      def grown(box)
        @asked += 1
        share = box.width * box.height / [@extent.width * @extent.height, box.width * box.height].max
        factor = Math.sqrt(WANTED / [@count * share, 1].max).clamp(1.0, [2.0**(@asked - 1), 8.0].min)
        box.grow(box.width * ((factor - 1) / 2 + MARGIN), box.height * ((factor - 1) / 2 + MARGIN))
      end
    end
  end
end
