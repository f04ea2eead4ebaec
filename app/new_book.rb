# frozen_string_literal: true

module App
  # Makes a book out of a document and its data: the demo, an imported book, an empty one.
  class NewBook
    # settings: a checked document; features: what answers each layer's batches (see Book::Folio).
    def self.from_folio(folio)
      settings = folio.document.settings
      TileLoom::Book::Check.demand(settings)
      ActiveRecord::Base.transaction do
        book = new(settings).create
        settings["layers"].each_with_index do |layer, position|
          LayerImport.new(book).keep(folio.reader(layer, position), key: layer["id"], title: layer["title"], position: position,
            visible: layer.fetch("visible", true), style: layer.slice("rules", "label"), name: layer.dig("data", "file"))
        end
        book.reload.weave
      end
    end

    def initialize(settings) = @settings = settings

    def create
      book = Book.create!(defaults.merge(@settings.slice(*Book::TEXTS)))
      book.create_layout!(name: @settings.dig("layout", "name").to_s, page: @settings["layout"]["page"], elements: @settings["layout"]["elements"])
      book.create_index!(settings: @settings["index"])
      book
    end

    private

    def defaults = {"subtitle" => "", "author" => "", "subject" => "", "source" => "", "date" => ""}
  end
end
