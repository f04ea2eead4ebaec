# frozen_string_literal: true

module TileLoom
  module Artwork
    # The pictures that a book carries.
    class PictureSet
      # Pictures of the same bytes are read once in a process.
      READINGS = TileLoom::Assets::Readings.new(12)

      # own: Assets::Enclosure list; enclosures: where their bytes are.
      def initialize(own = [], enclosures: TileLoom::Assets::Enclosures.none)
        @own = own.to_h { |entry| [entry.id, entry] }
        @enclosures = enclosures
        @read = {}
      end

      # A Raster; Refusal for an id that the book does not have.
      def picture(id, path: nil)
        entry = @own[id] or raise Refusal.new("artwork.no_such_picture", id: id, at: path)
        @read[id] ||= READINGS.fetch(entry.content) do
          Raster.new(@enclosures.bytes(entry), name: "The picture “#{entry.title}”")
        end
      end

      # The Raster of a SHA-256 that a page of this book names.
      def of_content(content) = @own.keys.lazy.map { |id| picture(id) }.find { |raster| raster.content == content }
    end
  end
end
