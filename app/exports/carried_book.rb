# frozen_string_literal: true

module App
  # A book as it goes out as a file (see TileLoom::Document::Carrier).
  class CarriedBook
    # folder: for the files that its pixels came from, where they are kept elsewhere; nil where pixels do not go along.
    def initialize(book, folder = nil)
      @book, @folder = book, folder
    end

    def settings = @settings ||= @book.carried

    def date = Book.core(@book.document).parsed_date

    def features(entry) = layer(entry).each_geojson

    def pixels(entry)
      layer = layer(entry)
      arrival = layer.arrival_id && Arrival.find_by(id: layer.arrival_id)
      return nil unless arrival&.path && Originals.kept?(arrival.path)
      TileLoom::Document::Carrier::Pixels.new([local(arrival)], layer.source || {})
    end

    def bytes(entry) = Enclosure.bytes_of(entry)

    private

    def layer(entry) = @book.layers.find { |layer| layer.key == entry["id"] }

    # The path of the original on this machine.
    def local(arrival)
      (@local ||= {})[arrival.id] ||= Originals.path(arrival.path) || fetched(arrival)
    end

    def fetched(arrival)
      path = File.join(@folder, "#{arrival.id}#{File.extname(arrival.path)}")
      Originals.with_file(arrival.path) { |file| FileUtils.cp(file, path) }
      path
    end
  end
end
