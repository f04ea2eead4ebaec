# frozen_string_literal: true

require "fileutils"
require "zip"

module TileLoom
  module Document
    # A book with everything in one zip archive: the document as book.json, and beside it what it names by relative
    # paths: features, pixels, typefaces, pictures, profiles.
    class BookZip
      DOCUMENT, ENDING = "book.json", ".tileloom.zip"
      # Of the document alone; data have their own limits (Sandbox::ZipCheck).
      LARGEST_ENTRY = 4 * 1024**3

      # Is it the archive of a book?
      def self.book?(path)
        Zip::File.open(path) { |zip| !zip.find_entry(DOCUMENT).nil? }
      rescue Zip::Error, SystemCallError, ArgumentError, RangeError
        false
      end

      # name: as its sender calls it; wanted: see Sandbox::LimitedProcess.
      def initialize(path, name: File.basename(path), wanted: nil)
        @path, @name, @wanted = path, name, wanted
      end

      # Takes it out into an empty folder. Returns the Folio of the book; Refusal for an archive that could do harm, and
      # for a book that names what is not in it.
      def unfold(folder)
        Sandbox::ZipCheck.new(@path).demand
        Zip::File.open(@path) do |zip|
          entries = zip.entries.reject(&:directory?)
          refuse(entries)
          unfolding = Sandbox::Unzipping.new(zip, name: @name, wanted: @wanted)
          entries.each { |entry| write(unfolding, entry, folder) }
        end
        read(folder)
      rescue Zip::Error, ArgumentError, RangeError
        raise Refusal.new("data.no_zip", name: @name)
      end

      private

      def refuse(entries)
        names = entries.map { |entry| entry.name.dup.force_encoding(Encoding::UTF_8) }
        raise Refusal.new("book.zip_without_document", name: @name, file: DOCUMENT) unless names.include?(DOCUMENT)
        strange = entries.zip(names).find { |entry, name| entry.ftype != :file || !plain?(name) }
        raise Refusal.new("book.zip_strange_entry", name: @name, file: shown(strange.last)) if strange
        refuse_twice(names)
      end

      # A path of plain names, none of which is hidden or too long for a file system.
      def plain?(name) =
        name.valid_encoding? && !name.match?(/[[:cntrl:]\\:]/) &&
          name.split("/", -1).all? { |part| part.bytesize.between?(1, 200) && !part.start_with?(".") }

      # One name for two files, or for a file and a folder, whatever their case.
      def refuse_twice(names)
        folders = names.flat_map { |name| name.split("/")[0...-1].each_with_index.map { |_, depth| head(name, depth) } }
        known = folders.uniq.map(&:downcase) + names.map(&:downcase)
        twice = known.tally.find { |_, count| count > 1 } or return
        raise Refusal.new("book.zip_name_twice", name: @name, file: shown(twice.first))
      end

      def head(name, depth) = name.split("/").first(depth + 1).join("/")

      def shown(name) = name.scrub[0, 80]

      def write(unfolding, entry, folder)
        path = File.join(folder, entry.name.dup.force_encoding(Encoding::UTF_8))
        FileUtils.mkdir_p(File.dirname(path), mode: 0o700)
        unfolding.write(entry, path, LARGEST_ENTRY)
      end

      def read(folder)
        folio = Folio.read(File.join(folder, DOCUMENT))
        named(folio.document.settings).each do |file, pointer|
          inside = file.split("/").none?("..") && !file.start_with?("/") && File.file?(File.join(folder, file))
          raise Refusal.new("book.zip_lacks", name: @name, file: shown(file), at: pointer) unless inside
        end
        folio
      end

      # Files that a document names → where it does.
      def named(settings)
        layers =
          settings["layers"].each_with_index.flat_map do |layer, index|
            data = layer["data"].to_h
            [*data["file"], *data["files"]].map { |file| [file, "/layers/#{index}/data"] }
          end
        own =
          Assets::Enclosures::LISTS.flat_map do |list|
            settings
              .fetch(list, [])
              .each_with_index
              .filter_map { |entry, index| entry["file"] && [entry["file"], "/#{list}/#{index}/file"] }
          end
        layers + own
      end
    end
  end
end
