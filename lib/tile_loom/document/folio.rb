# frozen_string_literal: true

module TileLoom
  module Document
    # A book document with its data: in files beside it, or inside it.
    class Folio
      attr_reader :path, :document

      def self.read(path)
        raise Invalid.new("The book #{path} does not exist.") unless File.file?(path)
        new(
          path,
          Book.parse(
            File.binread(path),
            enclosures: TileLoom::Assets::Enclosures.new(folder: File.dirname(File.expand_path(path)))
          )
        )
      rescue Errno::EACCES
        raise Invalid.new("The book #{path} cannot be read: permission is denied.")
      end

      # path: nil for a book that must hold its data itself (one that came over a network).
      def initialize(path, document)
        @path, @document = path, document
      end

      # What was left out or mended of the data as it was read, in sentences that name the layer.
      def told = @told ||= []

      # All layers read into memory, in the book's reference. Yields each layer's title before it is read.
      def source
        @source ||=
          Data::MemorySource.new.tap do |source|
            document.layers.each_with_index do |layer, index|
              yield layer.title if block_given?
              source.add(layer.id, located(layer, index) { read(layer, reader(layer, index)) })
            end
          end
      end

      # The Data::GeojsonReader of a Symbology::Layer of the document; target: the book's Crs, as the document has it or
      # with transformations of its own.
      def reader(layer, index, target: document.crs)
        located(layer, index) do
          data = layer.data or raise Invalid.new("it says nothing of its data; give it a file or a collection.")
          if data["collection"]
            next Data::GeojsonReader.new(data["collection"], target: target, scale: document.index.scale)
          end
          raise Invalid.new("its data is in the file #{data["file"]}, which did not come with the book.") unless path
          Data::FileReader.open(
            File.expand_path(data["file"], File.dirname(path)),
            target: target,
            layer: data["layer"],
            scale: document.index.scale
          )
        end
      end

      private

      def read(layer, reader)
        reader.features.tap { told.concat(reader.told.map { |sentence| "#{layer.title}: #{sentence}" }) }
      end

      def located(layer, index)
        yield
      rescue Invalid => error
        raise error if error.path
        raise Invalid.new("Layer “#{layer.title}”: #{error.message}", path: "/layers/#{index}/data")
      end
    end
  end
end
