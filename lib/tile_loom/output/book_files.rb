# frozen_string_literal: true

require "json"

module TileLoom
  module Output
    # The book and its data as files that can travel inside a PDF: the document, which names the data beside it, and the
    # data as one GeoPackage. Taken out into a folder they make the book again.
    class BookFiles
      # press: a Press; which of the two are wanted.
      def initialize(press, book:, data:)
        @press, @with_book, @with_data = press, book, data
      end

      # Pdf::Attachments::File list.
      def files = [(document if @with_book), (package if @with_data)].compact

      private

      def book = @press.book

      def base = FileNames.legal(book.title)

      def data_name = "#{base}-data.gpkg"

      def document
        Pdf::Attachments::File.new(
          name: "#{base}.json",
          media: "application/json",
          bytes: JSON.pretty_generate(settings) + "\n",
          relation: :Source,
          words: "The book, as Tile Loom reads it"
        )
      end

      # Members in the order of their names, so that a book has one form wherever it was kept.
      def settings
        layers =
          book.settings["layers"].map do |layer|
            next layer.except("data") if layer.key?("raster")
            layer.except("data").merge("data" => {"file" => data_name, "layer" => layer["id"]})
          end
        enclosed =
          Assets::Enclosures.entries(book.settings) do |entry|
            Assets::Enclosures.with_bytes(entry, book.enclosures.bytes(Assets::Enclosure.new(entry)))
          end
        sorted(book.carried(@press.source).merge("layers" => layers, **enclosed))
      end

      def sorted(value)
        case value
        when Hash
          value.sort.to_h { |key, item| [key, sorted(item)] }
        when Array
          value.map { |item| sorted(item) }
        else
          value
        end
      end

      def package
        bytes =
          Data::GeoPackage.new(data_name, crs: book.crs, date: book.parsed_date).bytes(
            book.layers.reject(&:raster?).map { |layer| [layer.id, @press.source.features(layer.id, nil)] }
          )
        Pdf::Attachments::File.new(
          name: data_name,
          media: "application/geopackage+sqlite3",
          bytes: bytes,
          relation: :Data,
          words: "The data of the layers"
        )
      end
    end
  end
end
