# frozen_string_literal: true

require "tempfile"

module App
  # Makes a book out of a document and its data: the demo, a book that was exported.
  class NewBook
    # A book, whole or not at all. folio: a TileLoom::Document::Folio.
    def self.from_folio(folio) = ActiveRecord::Base.transaction { new(folio).make }

    # A book of a checked document, without any data yet; making: not listed before it is whole.
    def self.create(settings, making: false)
      first = settings["layers"].map { |entry| entry.except("version") }
      book = Book.create!(document: settings.merge("layers" => first), making: making)
      book.create_index!
      book
    end

    # making: called with the book before its data come, where it is not to be listed before it is whole.
    def initialize(folio, making: nil)
      @folio, @making = folio, making
    end

    # Yields how many layers have come. The caller sees to it that a failure leaves nothing.
    def make
      settings = @folio.document.settings
      TileLoom::Document::Check.demand(settings, enclosures: @folio.document.enclosures)
      @book = self.class.create(Enclosure.take_in(settings, @folio.document.enclosures), making: !@making.nil?)
      @making&.call(@book)
      @shifts = TileLoom::Document::ChosenOperations.new(settings["operations"], settings["crs"])
      @folio.document.layers.each_with_index do |layer, position|
        layer.raster? ? pixels(layer) : features(layer, position)
        yield position + 1 if block_given?
      end
      @book.put("operations" => @shifts.entries.presence)
      @book.reload.lay_out(@folio.document.index.by_hand)
      @book
    end

    private

    def features(layer, position)
      reader = @shifts.reader(title: layer.title) { |crs| @folio.reader(layer, position, target: crs) }
      LayerImport.new(@book).keep(reader, key: layer.id, name: layer.data&.fetch("file", nil))
      tell(layer, reader.notices)
    end

    # A layer of pixels, with those beside the document; without any where it came alone.
    def pixels(layer)
      return Layer.of_pixels(@book, key: layer.id) if layer.tiles
      if layer.data.nil? || @folio.path.nil?
        Layer.of_pixels(@book, key: layer.id)
        return tell(layer, ["A book file does not carry the raster; update the layer from its file."])
      end
      data = layer.data
      _, notices =
        RasterImport.new(@book).keep(
          @folio.files(layer),
          key: layer.id,
          name: File.basename(data["file"] || data["files"].first),
          picture: data["layer"],
          kind: data["taken_as"],
          reference: data["crs"],
          began: ->(row) { keep_original(layer, row) }
        )
      tell(layer, notices)
    end

    # The files that the pixels came from are kept, as those of an import are, so that the book can be carried on.
    def keep_original(layer, row)
      files = @folio.files(layer)
      beside = files.flat_map { |path| TileLoom::Raster::Beside.all(path) }
      return originals(row, File.basename(files.first), files.first) if files.one? && beside.empty?
      Tempfile.create(%w[original .zip]) do |packed|
        packed.binmode
        archive = TileLoom::Output::Archive.new(packed)
        [*files, *beside].uniq.each { |path| archive.add(File.basename(path), path) }
        archive.close
        packed.flush
        originals(row, "#{File.basename(files.first, ".*")}.zip", packed.path)
      end
    end

    def originals(row, name, path)
      arrival = Arrival.create!(book_id: @book.id, name: name[-250..] || name, state: "done")
      File.open(path, "rb") { |file| arrival.receive(file) }
      row.update!(arrival_id: arrival.id)
    end

    # What of a layer's data was left out or mended stands with the files that came in.
    def tell(layer, sentences)
      return if sentences.empty?
      Arrival.create!(book_id: @book.id, name: layer.title, state: "done", path: "", remarks: sentences.first(50))
    end
  end
end
