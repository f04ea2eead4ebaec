# frozen_string_literal: true

module App
  # Makes a book out of a document and its data: the demo, an imported book, an empty one.
  class NewBook
    # settings: a checked document; features: what answers each layer's batches (see Document::Folio).
    def self.from_folio(folio)
      settings = folio.document.settings
      TileLoom::Document::Check.demand(settings, enclosures: folio.document.enclosures)
      ActiveRecord::Base.transaction do
        book = create(Enclosure.take_in(settings, folio.document.enclosures))
        shifts = TileLoom::Document::ChosenOperations.new(settings["operations"], settings["crs"])
        folio.document.layers.each_with_index do |layer, position|
          next pixels(book, folio, layer) if layer.raster?
          reader = shifts.reader(title: layer.title) { |crs| folio.reader(layer, position, target: crs) }
          LayerImport.new(book).keep(reader, key: layer.id, name: layer.data&.fetch("file", nil))
          tell(book, layer, reader.told)
        end
        book.put("operations" => shifts.entries.presence)
        book.reload.lay_out(folio.document.index.by_hand)
        book
      end
    end

    # A book of a checked document, without any data yet; making: not listed before it is whole.
    def self.create(settings, making: false)
      first = settings["layers"].map { |entry| entry.except("version") }
      book = Book.create!(document: settings.merge("layers" => first), making: making)
      book.create_index!
      book
    end

    # A layer of pixels, with those beside the document; without any where it came alone.
    def self.pixels(book, folio, layer)
      if layer.tiles || layer.data.nil? || folio.path.nil?
        Layer.of_pixels(book, key: layer.id)
        return if layer.tiles
        return tell(book, layer, ["Its pixels do not come with a book file; update the layer from their file."])
      end
      data = layer.data
      _, told =
        RasterImport.new(book).keep(
          folio.files(layer),
          key: layer.id,
          name: File.basename(data["file"] || data["files"].first),
          picture: data["layer"],
          kind: data["taken_as"],
          reference: data["crs"]
        )
      tell(book, layer, told)
    end
    private_class_method :pixels

    # What of a layer's data was left out or mended stands with the files that came in.
    def self.tell(book, layer, sentences)
      if sentences.any?
        Arrival.create!(book_id: book.id, name: layer.title, state: "done", path: "", remarks: sentences.first(50))
      end
    end
    private_class_method :tell
  end
end
