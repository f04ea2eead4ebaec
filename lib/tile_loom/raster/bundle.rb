# frozen_string_literal: true

require "fileutils"
require "nokogiri"
require "tmpdir"
require "zip"

module TileLoom
  module Raster
    # The files of a raster laid into a folder of their own under names that are ours: one file of pixels or several,
    # each with what tells where it lies. Of what a zip archive holds nothing else is unfolded, and of an auxiliary file
    # no more than it says of the place: such files may name others.
    class Bundle
      # path: of the file of pixels; name: as its sender calls it; source: where it leads to, where it is a link.
      Part =
        Struct.new(:path, :name, :format, :source) do
          # What a program is to see of it.
          def reads = [File.dirname(path), *source]
        end

      MOST_PARTS = 400
      LARGEST_BESIDE = 1024 * 1024
      # What of an auxiliary file is kept.
      OF_PLACE = %w[SRS GeoTransform GCPList].freeze
      OF_BANDS = %w[CategoryNames NoDataValue UnitType ColorTable GDALRasterAttributeTable].freeze

      # file: of the sender, a zip or one of pixels (with what lies beside it); name: as its sender calls it; wanted:
      # see Sandbox::LimitedProcess.
      def initialize(file, name: File.basename(file), wanted: nil)
        @file, @name, @wanted = File.expand_path(file), name, wanted
      end

      # Are there pixels in it, by its name and the list of what it holds?
      def self.pixels?(file, name: File.basename(file))
        return !Formats.of_file(name).nil? unless zip?(name)
        entries(file).any? { |entry| Formats.of_file(entry.name) }
      end

      def self.zip?(name) = File.extname(name).casecmp?(".zip")

      def self.entries(file)
        Sandbox::ZipCheck.new(file).demand
        Zip::File.open(file) { |zip| zip.entries.reject { |entry| entry.directory? || hidden?(entry.name) } }
      end

      def self.hidden?(name) = name.start_with?("__MACOSX/") || File.basename(name).start_with?(".")

      # Yields its Parts; the folder is gone after the block. Refusal where there are none, or too many.
      def open
        Dir.mktmpdir("tile-loom-raster") do |folder|
          parts = self.class.zip?(@name) ? unfold(folder) : alone(folder)
          parts.each { |part| part.format.check(part.path, part.name) }
          yield parts
        end
      end

      # Yields the Parts of several files; names: as their senders call them.
      def self.open_all(files, names: [], wanted: nil, &block)
        bundles = files.zip(names).map { |file, name| new(file, name: name || File.basename(file), wanted: wanted) }
        open_next(bundles, [], &block)
      end

      def self.open_next(bundles, parts, &block)
        return yield(parts) if bundles.empty?
        bundles.first.open { |found| open_next(bundles.drop(1), parts + found, &block) }
      end
      private_class_method :open_next

      private

      def unfold(folder)
        Zip::File.open(@file) do |zip|
          entries = self.class.entries(@file)
          pixels = entries.select { |entry| Formats.of_file(entry.name) }
          raise Refusal.new("raster.zip_without_pixels", name: @name, known: Formats.known) if pixels.empty?
          if pixels.length > MOST_PARTS
            raise Refusal.new("raster.too_many_files", name: @name, count: pixels.length, most: MOST_PARTS)
          end
          unfolding = Sandbox::Unzipping.new(zip, name: @name, wanted: @wanted)
          pixels.each_with_index.map do |entry, index|
            part = Part.new(place(folder, index, entry.name), File.basename(entry.name), Formats.of_file(entry.name))
            unfolding.write(entry, part.path, Prepare::LARGEST_BYTES)
            entries
              .select { |other| Beside.of?(other.name, entry.name) }
              .each { |other| beside(part.path, other.name) { |path| unfolding.write(other, path, LARGEST_BESIDE) } }
            part
          end
        end
      end

      # A file on a disk with those that lie beside it.
      def alone(folder)
        format = Formats.of_file(@name) or raise Refusal.new("raster.format_unknown", name: @name, known: Formats.known)
        if File.size(@file) > Prepare::LARGEST_BYTES
          raise Refusal.new("data.file_too_large", name: @name, most_gb: Prepare::LARGEST_BYTES / 1024**3)
        end
        path = place(folder, 0, @name)
        File.symlink(@file, path)
        Beside
          .all(@file)
          .each do |source|
            next if File.size(source) > LARGEST_BESIDE
            beside(path, source) { |target| FileUtils.cp(source, target) }
          end
        [Part.new(path, @name, format, @file)]
      end

      def place(folder, index, name) = File.join(folder, "#{index}#{File.extname(name).downcase}")

      def beside(path, other)
        target = Beside.place(path, other) or return
        yield target
        only_place(target) if target.end_with?(".aux.xml")
      end

      def only_place(path)
        read = Nokogiri.XML(File.read(path)) { |config| config.strict.nonet }
        kept = OF_PLACE.flat_map { |name| read.root.xpath("./#{name}").to_a }
        bands = read.root.xpath("./PAMRasterBand").to_a
        bands.each { |band| band.children.each { |child| child.unlink unless OF_BANDS.include?(child.name) } }
        File.write(path, "<PAMDataset>#{(kept + bands).map(&:to_xml).join}</PAMDataset>")
      rescue Nokogiri::XML::SyntaxError, NoMethodError
        FileUtils.rm_f(path)
      end
    end
  end
end
