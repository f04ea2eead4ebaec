# frozen_string_literal: true

require "digest"

module TileLoom
  module Assets
    # Files that a book carries with it: typefaces and pictures. The document names each by an id and says
    # where its bytes are: inside the document ("data", base64), beside it ("file"), or kept elsewhere under
    # their SHA-256 ("content"), as the application does.
    class Enclosures
      LARGEST_BYTES = 30 * 1024 * 1024

      # Lists of a document whose entries are such files.
      LISTS = %w[faces pictures profiles].freeze

      # What the block makes of each entry of these lists, by list; without those that are empty.
      def self.entries(settings)
        LISTS
          .to_h { |list| [list, settings.fetch(list, []).map { |entry| yield entry, list }] }
          .reject { |_, made| made.empty? }
      end

      # An entry with its bytes inside it.
      def self.with_bytes(entry, bytes) = entry.except("content", "file").merge("data" => [bytes].pack("m0"))

      # What identifies bytes.
      def self.content_of(bytes) = Digest::SHA256.hexdigest(bytes)

      # None but what the document itself holds.
      def self.none = new

      # folder: of the document, for files beside it; the block gives bytes for a SHA-256 (or nil).
      def initialize(folder: nil, &kept)
        @folder, @kept = folder, kept
      end

      # Bytes of an Enclosure; Refusal where they are not to be had.
      def bytes(entry)
        found = inside(entry) || beside(entry) || (entry.content && @kept&.call(entry.content))
        raise Refusal.new("assets.did_not_come", title: entry.title) unless found
        if found.bytesize > LARGEST_BYTES
          raise Refusal.new("assets.too_large", title: entry.title, most_mb: LARGEST_BYTES / 1024 / 1024)
        end
        found
      end

      private

      def inside(entry)
        entry.data&.unpack1("m0")
      rescue ArgumentError
        raise Refusal.new("assets.no_base64", title: entry.title)
      end

      def beside(entry)
        return nil unless entry.file && @folder
        path = File.expand_path(entry.file, @folder)
        raise Refusal.new("assets.no_such_file", file: entry.file, title: entry.title) unless File.file?(path)
        File.binread(path, LARGEST_BYTES + 1)
      end
    end
  end
end
