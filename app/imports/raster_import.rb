# frozen_string_literal: true

module App
  # Brings pixels into a layer of a book: they are made ready in the store.
  class RasterImport
    # Steps that an import of pixels is told in.
    STEPS = 100

    def initialize(book) = @book = book

    # files: of the sender's; name: what they came as; picture, kind, reference, wanted: see
    # TileLoom::Raster::Prepare.open; began: called with the row before its pixels come; own: more of Layer.of_pixels.
    # Yields steps of STEPS. Returns [the Layer, sentences of what was put right].
    def keep(files, name:, picture: nil, kind: nil, reference: nil, wanted: nil, began: nil, **own)
      layer =
        Layer.of_pixels(
          @book,
          **own,
          original_reference: reference || @book.reference,
          source: {"layer" => picture, "taken_as" => kind, "crs" => reference}.compact,
          original_name: name.to_s[0, 250]
        )
      began&.call(layer)
      notices = []
      choice = {picture: picture, kind: kind, reference: reference, wanted: wanted}
      Rasters.make(layer.id) do |folder|
        TileLoom::Raster::Prepare.open(files, names: [name], **choice) do |prepare|
          prepare.write(folder) { |share| yield((share * STEPS).round) if block_given? }
          notices = prepare.notices
        end
      end
      finish(layer)
      [layer, notices]
    end

    # What a layer of pixels looks like that came without a look, by what the pixels are.
    def self.look(layer) =
      {"raster" => TileLoom::Symbology::RasterLooks.start(TileLoom::Raster::Facts.new(layer.raster))}

    # The facts of a layer's pixels, and where they lie in the book's reference.
    def self.place(raster, reference, operations = nil)
      crs = TileLoom::Crs::System.find(reference, operations: TileLoom::Crs::Operations.new(operations))
      TileLoom::Raster::Extent.new(raster.grid, crs).box or
        raise TileLoom::Refusal.new("raster.beyond_book", crs: crs.name)
    end

    private

    def finish(layer)
      raster = TileLoom::Raster::Prepared.read(Rasters.folder(layer.id))
      facts = raster.facts
      layer.update!(
        raster: facts.json,
        original_reference: facts.json["crs"],
        **Layer.bounds(self.class.place(raster, @book.reference, @book.operations))
      )
    end
  end
end
