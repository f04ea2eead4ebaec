# frozen_string_literal: true

module App
  # Brings pixels into a layer of a book: they are made ready in the store.
  class RasterImport
    # Steps that an import of pixels is told in.
    STEPS = 100

    def initialize(book) = @book = book

    # files: of the sender's; name: what they came as; picture: of a file that holds several; kind, reference: see
    # TileLoom::Raster::Prepare; wanted: false ends it; style: nil for one that suits the pixels; began: called with the
    # row before its pixels come. Yields steps of STEPS. Returns [the Layer, sentences of what was put right].
    def keep(
      files,
      key:,
      title:,
      name:,
      picture: nil,
      kind: nil,
      reference: nil,
      wanted: nil,
      position: nil,
      visible: true,
      style: nil,
      removed: false,
      version: 1,
      began: nil
    )
      layer =
        Layer.create!(
          book_id: @book.id,
          key: key,
          version: version,
          title: title[0, 200],
          visible: visible,
          removed: removed,
          kind: "pixels",
          style: style || {"raster" => {"kind" => "picture"}},
          position: position || next_position,
          original_reference: reference || @book.reference,
          original_name: name.to_s[0, 250],
          feature_count: 0
        )
      began&.call(layer)
      told = []
      Rasters.make(layer.id) do |folder|
        prepared(files, name, picture, kind, reference, wanted) do |prepare|
          prepare.write(folder) { |share| yield((share * STEPS).round) if block_given? }
          told = prepare.told
        end
      end
      finish(layer, style)
      [layer, told]
    end

    # The facts of a layer's pixels, and where they lie in the book's reference.
    def self.place(raster, reference, operations = nil)
      crs = TileLoom::Crs::System.find(reference, operations: TileLoom::Crs::Operations.new(operations))
      TileLoom::Raster::Extent.new(raster.grid, crs).box or
        raise TileLoom::Refusal.new("raster.beyond_book", crs: crs.name)
    end

    private

    def next_position = (Layer.where(book_id: @book.id).minimum(:position) || 1) - 1

    def prepared(files, name, picture, kind, reference, wanted)
      TileLoom::Raster::Bundle.open_all(files, names: [name]) do |parts|
        found =
          parts.flat_map do |part|
            all = TileLoom::Raster::Inspection.new(part, wanted: wanted).all
            picture ? all.select { |one| one.picture == picture } : all.first(1)
          end
        yield(
          TileLoom::Raster::Prepare.new(
            parts,
            found,
            kind: kind || found.first.guess,
            reference: reference,
            wanted: wanted
          )
        )
      end
    end

    def finish(layer, style)
      raster = TileLoom::Raster::Prepared.read(Rasters.folder(layer.id))
      facts = raster.facts
      layer.update!(
        raster: facts.json,
        original_reference: facts.json["crs"],
        style: style || {"raster" => TileLoom::Symbology::RasterLooks.start(facts)},
        **Layer.bounds(self.class.place(raster, @book.reference, @book.operations))
      )
    end
  end
end
