# frozen_string_literal: true

module TileLoom
  module Document
    # A layer of a book file whose features are many: a Data::WindowedLayer over its file, or over a copy of it where
    # its format has no spatial index.
    class LargeLayer
      # Points on each side of a window when it is brought to the reference of the file, and what is added to it.
      SIDE, MARGIN = 9, 0.01

      # The WindowedLayer of a layer of a Folio; nil where it is to be read at once. shifts: ChosenOperations.
      def self.windowed(folio, layer, shifts)
        reader = folio.gdal(layer) or return nil
        found = reader.found(layer.data["layer"])
        return nil if found.count <= least(reader, found) || found.box.nil? || !found.streams?
        new(folio, layer, reader, found, shifts).windowed
      end

      def self.least(reader, found) =
        if reader.windows?(found.name)
          Data::WindowedLayer::MANY
        else
          Data::WindowedLayer::MANY_TO_COPY
        end
      private_class_method :least

      def initialize(folio, layer, reader, found, shifts)
        @folio, @layer, @reader, @found = folio, layer, reader, found
        # What is opened first chooses the transformation; nothing of it is read.
        first =
          shifts.reader(title: layer.title) do |crs|
            @target = crs.for_fixed_scale!
            whole
          end
        @own = first.source_reference
      end

      # nil where the target cannot show all that the file says it reaches over.
      def windowed
        extent = around(Geometry::Box.new(*@found.box), Crs::Transform.between(@own, @target)) or return nil
        names = @found.attributes.map { |attribute| attribute["name"] }
        Data::WindowedLayer.new(count: @found.count, extent: extent, names: names) do |box|
          read(box ? part(box) : whole)
        end
      end

      private

      def whole = @reader.open(@found.name, target: @target, scale: scale)

      def scale = @folio.document.index.scale

      # What meets a Box of the target; all of it where the box lies beyond what the file's reference can show.
      def part(box)
        around = around(box, Crs::Transform.between(@target, @own))
        within = around ? around.grow(around.width * MARGIN, around.height * MARGIN) : Geometry::Box.new(*@found.box)
        return @reader.open(@found.name, target: @target, scale: scale, within: within) if @reader.windows?(@found.name)
        copy.open(Data::IndexedCopy::LAYER, target: @target, reference: @own, scale: scale, within: within)
      end

      def copy =
        @copy ||=
          Data::GdalReader.new(
            Data::IndexedCopy.of(@reader.file, @found.name) { |path| @reader.copy(@found.name, path) }
          )

      # A window that holds nothing is no fault of the file.
      def read(reader)
        reader.features.tap { remember(reader) }
      rescue Refusal => error
        raise unless error.code == "data.no_features"
        []
      end

      # What several windows say is told once.
      def remember(reader)
        said = reader.told.map { |sentence| "#{@layer.title}: #{sentence}" }
        @folio.told.concat(said - @folio.told)
      end

      # A Box about points all over a box, transformed; nil where some of them lie nowhere.
      def around(box, transform)
        shares = (0..SIDE).map { |step| step / SIDE.to_f }
        found = transform.forward(box.lattice(shares).flatten)
        found.all?(&:finite?) ? Geometry::Box.around(found) : nil
      end
    end
  end
end
