# frozen_string_literal: true

module App
  # Writes a checked book document into the rows it is made of.
  class BookRows
    def initialize(book) = @book = book

    def write(settings)
      own = Book::PARTS.to_h { |part| [part, settings[part]] }
      @book.update!(settings.slice(*Book::TEXTS).merge(own, "reference" => settings["crs"]))
      layers(settings["layers"])
      @book.layout.update!(Layout.row_of(settings["layout"]))
      index_layout(settings["index_layout"])
      @book.index.update!(settings: settings["index"])
    end

    private

    def index_layout(entry)
      return @book.index_layout&.destroy! unless entry
      (@book.index_layout || @book.build_index_layout(role: "index")).update!(Layout.row_of(entry))
    end

    # Layers, and versions of layers, that the document no longer names are kept aside, not deleted.
    def layers(list)
      rows = Layer.where(book_id: @book.id).index_by { |row| [row.key, row.version] }
      list.each_with_index do |entry, position|
        rows.delete([entry["id"], entry.fetch("version", 1)]).update!(
          position: position,
          title: entry["title"],
          visible: entry.fetch("visible", true),
          removed: false,
          style: entry.except(*Layer::OWN)
        )
      end
      rows.each_value { |row| row.update!(removed: true) unless row.removed }
    end
  end
end
