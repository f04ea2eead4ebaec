# frozen_string_literal: true

module TileLoom
  module Document
    # What a book that goes out as a file is made of; the files are BookZipWriter and BookText.
    #
    # A carrier answers
    #   settings             the document as it is carried, without data, its own files named as it keeps them
    #   date                 of the book, a Date or nil
    #   features(entry)      Enumerable of GeoJSON Features of a layer, in the book's CRS, each with its number as "id"
    #   pixels(entry)        Pixels of a layer of them, or nil where they are not to be had
    #   bytes(entry)         of a typeface, a picture or a profile (its entry)
    module Carrier
      # Paths of the files that a layer of pixels is made from, and what the document says of them (see
      # Symbology::Layer::DATA).
      Pixels = Struct.new(:files, :said)

      module_function

      def pixels?(entry) = entry.key?("raster") && !entry.key?("tiles")

      # Titles of layers whose pixels a book does not carry that is one JSON file.
      def left_behind(settings) = settings["layers"].select { |entry| pixels?(entry) }.map { |entry| entry["title"] }
    end
  end
end
