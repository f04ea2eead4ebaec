# frozen_string_literal: true

module App
  # Writes a checked book document into the rows it is made of.
  class BookRows
    def initialize(book) = @book = book

    def write(settings)
      @book.update!(settings.slice(*Book::TEXTS))
      layers(settings["layers"])
      @book.layout.update!(name: settings.dig("layout", "name").to_s, page: settings["layout"]["page"], elements: settings["layout"]["elements"])
      @book.index.update!(settings: settings["index"])
    end

    private

    # Layers that the document no longer names are kept aside, not deleted.
    def layers(list)
      rows = Layer.where(book_id: @book.id).index_by(&:key)
      list.each_with_index do |entry, position|
        rows.delete(entry["id"]).update!(position: position, title: entry["title"], visible: entry.fetch("visible", true),
          removed: false, style: entry.slice("rules", "label"))
      end
      rows.each_value { |row| row.update!(removed: true) unless row.removed }
    end
  end
end
