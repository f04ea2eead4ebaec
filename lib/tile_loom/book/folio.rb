# frozen_string_literal: true

module TileLoom
  module Book
    # A book document on disk with its data beside it.
    class Folio
      attr_reader :path, :document

      def self.read(path)
        raise Invalid.new("The book #{path} does not exist.") unless File.file?(path)
        new(path, Document.parse(File.binread(path)))
      rescue Errno::EACCES
        raise Invalid.new("The book #{path} cannot be read: permission is denied.")
      end

      def initialize(path, document)
        @path, @document = path, document
      end

      # All layers read into memory, in the book's reference. Yields each layer's title before it is read.
      def source
        @source ||= Ground::MemorySource.new.tap do |source|
          document.settings["layers"].each_with_index do |layer, index|
            yield layer["title"] if block_given?
            source.add(layer["id"], features(layer, index))
          end
        end
      end

      private

      def features(layer, index)
        data = layer["data"] or raise Invalid.new("The layer “#{layer["title"]}” says nothing of its data; give it a file or a collection.", path: "/layers/#{index}/data")
        return Ground::GeojsonReader.new(data["collection"], target: document.crs).features if data["collection"]
        Ground::FileReader.open(File.expand_path(data["file"], File.dirname(path)), target: document.crs, layer: data["layer"]).features
      rescue Invalid => error
        raise Invalid.new("Layer “#{layer["title"]}”: #{error.message}", path: error.path || "/layers/#{index}/data")
      end
    end
  end
end
