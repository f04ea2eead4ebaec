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
      # Lists of a document whose entries are files of the book's own.
      OWN = %w[faces pictures profiles].freeze

      # Paths of the files that a layer of pixels is made from, and what the document says of them (see
      # Symbology::Layer::DATA).
      Pixels = Struct.new(:files, :said)

      # What programs keep beside a raster: its place, its reference, names and colours of classes.
      BESIDE = %w[.aux.xml .tfw .tifw .wld .jgw .pgw .prj .clr].freeze

      # Endings of what lies beside a file, each as it follows the file's name without its own ending → path.
      def self.beside(path)
        ending = File.extname(path)
        stem = path.delete_suffix(ending)
        BESIDE
          .flat_map { |more| [more, "#{ending}#{more}"] }
          .to_h { |more| [more, "#{stem}#{more}"] }
          .select { |_, file| File.file?(file) }
      end

      module_function

      def pixels?(entry) = entry.key?("raster") && !entry.key?("tiles")

      # Titles of layers whose pixels a book does not carry that is one JSON file.
      def left_behind(settings) = settings["layers"].select { |entry| pixels?(entry) }.map { |entry| entry["title"] }

      # A GeoJSON Feature (RFC 7946) with its number.
      def feature(number, properties, wkb) =
        {"type" => "Feature", "id" => number, "properties" => properties, "geometry" => Geometry::Geojson.of(wkb)}
    end
  end
end
