# frozen_string_literal: true

module TileLoom
  module Document
    # What a book names and does not have: labels by hand of what has gone, transformations that nothing is brought by,
    # orders of sheets that are not there. None of it keeps a book from being printed, so it is told.
    class LooseEnds
      # book: a Book; source: of its features (see Data::MemorySource).
      def initialize(book, source)
        @book, @source = book, source
      end

      # Sentences.
      def list = [*labels, *operations, *orders]

      private

      def layers = @layers ||= @book.layers.to_h { |layer| [layer.id, layer] }

      def names = @names ||= @book.run(@source).book_pages.to_h { |book_page| [book_page.name, true] }

      def labels
        @book.contents.labels_by_hand.to_a.flat_map { |entry| label(entry) }
      end

      def label(entry)
        what = "A label by hand of #{shown(entry.feature)}"
        layer = layers[entry.layer] or
          return ["#{what} is of the layer “#{entry.layer}”, which the book does not have."]
        found = []
        unless layer.labels.any? { |rule| layer.key_of_label(rule) == entry.rule }
          found << "#{what} is of the label rule “#{entry.rule}”, which #{layer.title} does not have."
        end
        if entry.sheet && !names.key?(entry.sheet)
          found << "#{what} is for the sheet “#{entry.sheet}”, which the book does not have."
        end
        found << "#{what} finds no feature in #{layer.title}." if found.empty? && !feature?(layer, entry)
        found
      end

      def shown(feature) = "“#{feature.values_at(:value, :text, :id).compact.first.to_s[0, 40]}”"

      # By text: of features together, which only a drawing knows.
      def feature?(layer, entry)
        return true if entry.feature[:text]
        features(layer.id).any? { |feature| entry.of?(feature, nil) }
      end

      def features(id) = (@features ||= {})[id] ||= @source.features(id, nil)

      # One of a pair is the book's own datum; else nothing is brought by it.
      def operations
        @book.contents.operations.to_a.filter_map do |entry|
          next if entry["datums"].include?(@book.crs.datum)
          "The transformation “#{entry["name"]}” is between datums of which neither is the book’s own (#{@book.crs.datum}), so it is used for nothing."
        end
      end

      def orders
        @book.orders.flat_map do |order|
          Index::SheetRange.new(order.sheets, others: @book.run(@source).others.reject(&:blank?)).pick(
            @book.cells(@source)
          )
          []
        rescue Refusal => error
          ["The saved export “#{order.name}” asks for sheets that the book does not have: #{error.message}"]
        end
      end
    end
  end
end
