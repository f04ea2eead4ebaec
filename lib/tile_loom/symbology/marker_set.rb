# frozen_string_literal: true

module TileLoom
  module Symbology
    # The drawings that point markers can have: the shipped set (one SVG file each in markers/) and
    # a book's own, which its document carries as SVG.
    class MarkerSet
      FOLDER = File.expand_path("markers", __dir__)
      LOCK = Mutex.new

      # Names of the shipped drawings.
      def self.shipped =
        @shipped ||= Dir[File.join(FOLDER, "*.svg")].map { |file| File.basename(file, ".svg") }.sort.freeze

      # The Artwork::Drawing of a shipped or own marker, read once.
      def self.drawing(name)
        LOCK.synchronize do
          @drawings ||= {}
          @drawings[name] ||= Artwork::SvgReader.read(
            File.read(File.join(FOLDER, "#{name}.svg")),
            name: "The marker #{name}"
          )
        end
      end

      # own: OwnMarker list.
      def initialize(own = [])
        @own = own.to_h { |entry| [entry.id, entry] }
        @read = {}
      end

      # An Artwork::Drawing; Refusal for a name that is neither shipped nor the book's own.
      def drawing(name, path: nil)
        if @own.key?(name)
          return (@read[name] ||= Artwork::SvgReader.read(@own[name].svg, name: "The marker “#{@own[name].title}”"))
        end
        return self.class.drawing(name) if self.class.shipped.include?(name)
        raise Refusal.new("symbology.no_such_marker", name: name, at: path)
      end
    end
  end
end
