# frozen_string_literal: true

module App
  # Makes a book out of a document and its data: the demo, an imported book, an empty one.
  class NewBook
    # settings: a checked document; features: what answers each layer's batches (see Document::Folio).
    def self.from_folio(folio)
      settings = folio.document.settings
      TileLoom::Document::Check.demand(settings, enclosures: folio.document.enclosures)
      ActiveRecord::Base.transaction do
        book = new(Enclosure.take_in(settings, folio.document.enclosures)).create
        shifts = TileLoom::Document::ChosenOperations.new(settings["operations"], settings["crs"])
        folio.document.layers.each_with_index do |layer, position|
          next pixels(book, folio, layer, position) if layer.raster?
          reader = shifts.reader(title: layer.title) { |crs| folio.reader(layer, position, target: crs) }
          LayerImport.new(book).keep(
            reader,
            key: layer.id,
            title: layer.title,
            position: position,
            visible: layer.visible?,
            style: layer.given.except(*Layer::OWN),
            name: layer.data&.fetch("file", nil)
          )
          tell(book, layer, reader.told)
        end
        book.update_columns(operations: shifts.entries)
        book.reload.tap(&:generate)
      end
    end

    # A layer of pixels, with those beside the document; without any where it came alone.
    def self.pixels(book, folio, layer, position)
      values = {key: layer.id, title: layer.title, position: position, visible: layer.visible?}
      style = layer.given.except(*Layer::OWN)
      if layer.tiles || layer.data.nil? || folio.path.nil?
        Layer.of_pixels(book, **values, style: style)
        return if layer.tiles
        return tell(book, layer, ["Its pixels do not come with a book file; update the layer from their file."])
      end
      data = layer.data
      _, told =
        RasterImport.new(book).keep(
          folio.files(layer),
          **values,
          name: File.basename(data["file"] || data["files"].first),
          picture: data["layer"],
          kind: data["taken_as"],
          reference: data["crs"],
          style: style
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

    def initialize(settings) = @settings = settings

    def create
      given = @settings.slice(*Book::TEXTS, *Book::PARTS)
      book = Book.create!(defaults.merge(given, "reference" => @settings["crs"]))
      book.create_layout!(Layout.row_of(@settings["layout"]).merge(role: "sheets"))
      if @settings["index_layout"]
        book.create_index_layout!(Layout.row_of(@settings["index_layout"]).merge(role: "index"))
      end
      book.create_index!(settings: @settings["index"])
      book
    end

    private

    def defaults = {"subtitle" => "", "author" => "", "subject" => "", "edition" => "", "source" => "", "date" => ""}
  end
end
