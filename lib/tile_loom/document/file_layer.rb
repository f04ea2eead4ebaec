# frozen_string_literal: true

module TileLoom
  module Document
    # A layer of a book file whose features GDAL reads from a file beside it: a Data::WindowedLayer, of which all is
    # read at once where it is small or its format has no spatial index. What was read once is there the next time.
    class FileLayer
      # Points on each side of a window when it is brought to the reference of the file, and what is added to it.
      SIDE, MARGIN = 9, 0.01
      # A layer of no more features is read at once.
      FEW = 1_000

      # The WindowedLayer of a layer of a Folio; nil where it is to be read otherwise. shifts: ChosenOperations.
      def self.windowed(folio, layer, shifts)
        reader = folio.gdal(layer) or return nil
        found = reader.found(layer.data["layer"])
        return nil if found.count.zero? || found.box.nil? || !found.streams?
        new(folio, layer, reader, found, shifts).windowed
      end

      def initialize(folio, layer, reader, found, shifts)
        @folio, @layer, @reader, @found = folio, layer, reader, found
        # What is opened first chooses the transformation; nothing of it is read.
        first =
          shifts.reader(title: layer.title) do |crs|
            @target = crs.for_fixed_scale!
            reader_of(nil)
          end
        @own = first.source_reference
      end

      # nil where the target cannot show all that the file says it reaches over.
      def windowed
        whole = (fetch(nil) if at_once?)
        extent = whole ? whole.box : around(Geometry::Box.new(*@found.box), @own, @target)
        return nil if extent.nil?
        Data::WindowedLayer.new(
          count: @found.count,
          extent: extent,
          names: @found.attributes.map { |attribute| attribute["name"] },
          readings: self,
          whole: whole
        )
      end

      # Was what meets a Box of the target (all with nil) read before?
      def kept?(box) = readings.kept?(box)

      # The Data::BlockFile of it. What several of them say is told once.
      def fetch(box)
        found = readings.fetch(box) { reader_of(box) }
        said = found.notices.map { |sentence| "#{@layer.title}: #{sentence}" }
        @folio.notices.concat(said - @folio.notices)
        found
      end

      private

      # Is all of it read at once?
      def at_once? = @found.count <= FEW || !@reader.windows?(@found.name)

      # What reads what meets a Box of the target, all with nil.
      def reader_of(box) = @reader.open(@found.name, target: @target, scale: scale, within: box && within(box))

      def scale = @folio.document.index.scale

      def readings =
        @readings ||=
          Data::KeptReadings.new(
            [
              Assets::CacheFolder.known(@reader.files),
              @found.name,
              @own.code,
              @target.code,
              @target.operations&.key,
              scale
            ]
          )

      # The Box of the file's reference that holds one of the target; all of the layer where that lies beyond what the
      # file's reference can show.
      def within(box)
        around = around(box, @target, @own) or return Geometry::Box.new(*@found.box)
        around.grow(around.width * MARGIN, around.height * MARGIN)
      end

      # A Box about points all over a box, in another reference; nil where some of them lie nowhere.
      def around(box, from, to)
        shares = (0..SIDE).map { |step| step / SIDE.to_f }
        found = Crs::Transform.between(from, to).forward(box.lattice(shares).flatten)
        found.all?(&:finite?) ? Geometry::Box.around(found) : nil
      end
    end
  end
end
