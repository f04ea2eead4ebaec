# frozen_string_literal: true

module TileLoom
  module Document
    # A book document with its data: in files beside it, or inside it.
    class Folio
      attr_reader :path, :document

      # The book in a file, with the files that lie beside it. Refusal where it cannot be read.
      def self.read(path)
        raise Refusal.new("command.no_such_book", path: path) unless File.file?(path)
        new(
          path,
          Book.parse(
            File.binread(path),
            enclosures: TileLoom::Assets::Enclosures.new(folder: File.dirname(File.expand_path(path)))
          )
        )
      rescue Errno::EACCES
        raise Refusal.new("command.no_permission", path: path)
      end

      # path: nil for a book that must hold its data itself (one that came over a network).
      def initialize(path, document)
        @path, @document = path, document
      end

      # What was left out or mended of the data as it was read, in sentences that name the layer.
      def notices = @notices ||= []

      # All layers, in the book's reference; large ones are read as they are asked for. Yields each layer's title before
      # it is read.
      def source
        @source ||=
          Data::MemorySource.new.tap do |source|
            shifts = ChosenOperations.new(document.contents.operations, document.contents.crs)
            # What the features are brought by decides where pixels and grids lie, too.
            features, others = document.layers.each_with_index.partition { |layer, _| !layer.tiles && !layer.raster? }
            features.each do |layer, index|
              yield layer.title if block_given?
              windowed = located(layer, index) { FileLayer.windowed(self, layer, shifts) }
              next source.take(layer.id, windowed) if windowed
              source.add(layer.id, located(layer, index) { read(layer, chosen(shifts, layer, index)) })
            end
            settle(shifts)
            others.each do |layer, index|
              yield layer.title if block_given?
              layer.tiles ? add_tiles(source, layer) : add_raster(source, layer, index)
            end
          end
      end

      # The Data::GeojsonReader of a Symbology::Layer of the document; target: the book's Crs, as the document has it or
      # with transformations of its own.
      def reader(layer, index, target: document.crs)
        located(layer, index) do
          data = layer.data or raise Refusal.new("book.layer_without_data")
          next of_collection(data["collection"], target) if data["collection"]
          raise Refusal.new("book.layer_data_elsewhere", file: data["file"]) unless path
          file = beside(data["file"])
          next of_lines(file, data, target) if File.extname(file) == Data::FeatureLines::ENDING && data["crs"]
          known = gdal(layer)
          next known.open(data["layer"], target: target, scale: document.index.scale) if known
          Data::FileReader.open(file, target: target, layer: data["layer"], scale: document.index.scale)
        end
      end

      # The Data::GdalReader of the file of a layer, which is looked into once for all its layers; nil where GDAL does
      # not read it.
      def gdal(layer)
        file = path && layer.data && layer.data["file"]&.then { |name| beside(name) }
        return nil unless file && Data::FileReader.by_gdal?(file)
        (@gdal ||= {})[file] ||= Data::GdalReader.new(
          file,
          reports: Assets::CacheFolder.new(Assets::CacheFolder.of_user("reports"))
        )
      end

      # The files of a layer of pixels.
      def files(layer)
        data = layer.data or raise Refusal.new("book.layer_without_data")
        named = data["files"] || [data["file"]].compact
        raise Refusal.new("book.layer_data_elsewhere", file: named.first.to_s) unless path
        named.map do |name|
          file = beside(name)
          raise Refusal.new("data.no_such_file", name: File.basename(file)) unless File.file?(file)
          file
        end
      end

      private

      # The path of a file that the document names.
      def beside(name) = File.expand_path(name, File.dirname(path))

      # Features of a book file have their own numbers, by which the book knows them.
      def of_collection(collection, target) =
        Data::GeojsonReader.new(collection, target: target, scale: document.index.scale, numbered: true)

      def of_lines(file, data, target)
        raise Refusal.new("data.no_such_file", name: File.basename(file)) unless File.file?(file)
        Data::GeojsonReader.new(
          {"type" => "FeatureCollection", "features" => Data::FeatureLines.new(file)},
          target: target,
          reference: Crs::System.find(data["crs"]),
          scale: document.index.scale,
          numbered: true
        )
      end

      def chosen(shifts, layer, index) =
        shifts.reader(title: layer.title) { |crs| reader(layer, index, target: crs.for_fixed_scale!) }

      # The document says by which operations its data came, as it would if they had been imported.
      def settle(shifts)
        notices.concat(shifts.notices)
        return if shifts.entries == document.contents.operations
        @document =
          Book.new(document.settings.merge({"operations" => shifts.entries}.compact), enclosures: document.enclosures)
      end

      def add_tiles(source, layer)
        fetch = Raster::Tiles::Fetch.new(Assets::CacheFolder.of_user("tiles"))
        source.add_raster(layer.id, Raster::Tiles::Pyramid.new(layer.tiles, fetch, layer.title), nil)
      end

      # Made ready in a process of its own, which leaves libvips as it is here.
      def add_raster(source, layer, index)
        return notices << "#{layer.title}: the raster file is missing, so it is not drawn." if layer.data.nil?
        located(layer, index) do
          choice = {picture: layer.data["layer"], kind: layer.data["taken_as"], reference: layer.data["crs"]}
          files = files(layer)
          cache = Raster::Cache.new
          unless cache.kept?(files, **choice)
            Output::Parallel.new.apart { prepared(cache, files, choice) }&.then { |refusal| raise refusal }
          end
          raster = cache.fetch(files, **choice)
          notices.concat(raster.facts.notices.map { |sentence| "#{layer.title}: #{sentence}" })
          source.add_raster(layer.id, raster, Raster::Extent.new(raster.grid, document.crs).box)
        end
      end

      # nil, or the Refusal.
      def prepared(cache, files, choice)
        cache.fetch(files, **choice)
        nil
      rescue Refusal => error
        error
      end

      def read(layer, reader)
        reader.features.tap { notices.concat(reader.notices.map { |sentence| "#{layer.title}: #{sentence}" }) }
      end

      def located(layer, index)
        yield
      rescue Refusal => error
        raise error if error.pointer
        raise Refusal.new("book.layer", title: layer.title, trouble: error.message, at: "/layers/#{index}/data")
      end
    end
  end
end
