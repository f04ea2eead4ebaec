# frozen_string_literal: true

module TileLoom
  module Document
    # A layer of a book file whose features are many: a Data::WindowedLayer over its file, or over a copy of it where
    # its format has no spatial index.
    class LargeLayer
      # Points on each side of a window when it is brought to the reference of the file, and what is added to it.
      SIDE, MARGIN = 9, 0.01

      # The WindowedLayer; nil where it is to be read at once. told: a list to which sentences are added.
      def self.of(folio, layer, index, shifts, told)
        file = folio.data_file(layer) or return nil
        return nil if File.size(file) > Data::FileReader::LARGEST_BYTES
        reader = folio.gdal(file)
        found = reader.found(layer.data["layer"])
        return nil if found.count <= Data::WindowedLayer::MANY || found.box.nil? || !found.streams?
        new(folio, layer, index, file, reader, found, told).windowed(shifts)
      end

      def initialize(folio, layer, index, file, reader, found, told)
        @folio, @layer, @index, @file, @reader, @found, @told = folio, layer, index, file, reader, found, told
        @name = layer.data["layer"]
      end

      def windowed(shifts)
        open = nil
        # What is opened first, of the file itself, chooses the transformation; nothing of it is read.
        first =
          shifts.reader(title: @layer.title) do |crs|
            target = crs.for_fixed_scale!
            open = opener(target)
            @reader.open(@name, target: target, scale: scale)
          end
        own = first.source_reference
        Data::WindowedLayer.new(
          count: @found.count,
          extent: extent(own, open),
          names: @found.attributes.map { |attribute| attribute["name"] }
        ) { |box| read(open.call(box && back(box, own, open))) }
      end

      private

      def scale = @folio.document.index.scale

      # The block opens a FeatureReader within a Box of the file's reference, or over all.
      Opener = Struct.new(:target, :block) { def call(box) = block.call(box) }
      private_constant :Opener

      def opener(target)
        Opener.new(target, ->(box) { box ? indexed(target, box) : @reader.open(@name, target: target, scale: scale) })
      end

      def indexed(target, box)
        return @reader.open(@name, target: target, scale: scale, within: box) if @reader.windows?(@name)
        copy = Data::IndexedCopy.of(@file, @found.name) { |path| @reader.copy(@name, path) }
        @copied ||= Data::GdalReader.new(copy)
        reference = @reader.open(@name, target: target).source_reference
        @copied.open(Data::IndexedCopy::LAYER, target: target, reference: reference, scale: scale, within: box)
      end

      # A window that holds nothing is no fault of the file.
      def read(reader)
        reader.features.tap { remember(reader) }
      rescue Refusal => error
        raise unless error.code == "data.no_features"
        []
      end

      def remember(reader)
        reader.told.each do |sentence|
          said = "#{@layer.title}: #{sentence}"
          @told << said unless @told.include?(said)
        end
      end

      def extent(own, open) = around(Geometry::Box.new(*@found.box), Crs::Transform.between(own, open.target), 0.0)

      # In the reference of the file.
      def back(box, own, open) = around(box, Crs::Transform.between(open.target, own), MARGIN)

      # A Box about all points of the sides of a box; where some of them lie nowhere, all of the layer.
      def around(box, transform, margin)
        shares = (0..SIDE).map { |step| step / SIDE.to_f }
        found = transform.forward(box.lattice(shares).flatten)
        return Geometry::Box.new(*@found.box) unless found.all?(&:finite?)
        whole = Geometry::Box.around(found)
        whole.grow(whole.width * margin, whole.height * margin)
      end
    end
  end
end
