# frozen_string_literal: true

module TileLoom
  module Document
    # Writes a book with everything as a zip archive (see BookZip), front to back, in flat memory.
    class BookZipWriter
      # carrier: see Carrier.
      def initialize(carrier) = @carrier = carrier

      # Sentences of what did not go along.
      def notices = @notices ||= []

      # io: takes bytes with <<. Yields the title of each layer before it is written.
      def write(io, &progress)
        archive = Output::Archive.new(io, date: @carrier.date)
        settings = @carrier.settings
        layers = settings["layers"].map { |entry| layer(archive, entry, &progress) }
        own = Assets::Enclosures.entries(settings) { |entry, list| own(archive, list, entry) }
        document = settings.merge("layers" => layers, **own)
        archive.write(BookZip::DOCUMENT) { |sink| sink << JSON.pretty_generate(document) << "\n" }
        archive.close
      end

      private

      def layer(archive, entry)
        yield entry["title"] if block_given?
        return entry if entry.key?("tiles")
        return pixels(archive, entry) if entry.key?("raster")
        file = "data/#{entry["id"]}#{Data::FeatureLines::ENDING}"
        archive.write(file) do |sink|
          @carrier.features(entry).each { |feature| sink << Data::FeatureLines.line(feature) }
        end
        entry.merge("data" => {"file" => file, "crs" => @carrier.settings["crs"]})
      end

      def pixels(archive, entry)
        found = @carrier.pixels(entry)
        unless found
          notices << "#{entry["title"]}: the raster file is missing, so it is not included."
          return entry
        end
        files =
          found.files.each_with_index.map do |path, index|
            pixel_files[path] ||= raster(archive, "pixels/#{entry["id"]}/#{index + 1}", path)
          end
        entry.merge("data" => found.said.merge(files.one? ? {"file" => files.first} : {"files" => files}))
      end

      # Several layers may be made of one file. Path → its name in the archive.
      def pixel_files = @pixel_files ||= {}

      def raster(archive, stem, path)
        file = "#{stem}#{File.extname(path).downcase}"
        archive.add(file, path)
        Raster::Beside
          .all(path)
          .group_by { |more| Raster::Beside.place(file, more) }
          .each { |place, (more, *)| archive.add(place, more) if place }
        file
      end

      def own(archive, list, entry)
        bytes = @carrier.bytes(entry)
        file = "#{list}/#{entry["id"]}#{ending(list, bytes)}"
        archive.write(file) { |sink| sink << bytes }
        entry.except("content", "data").merge("file" => file)
      end

      # As programs know such files by.
      def ending(list, bytes)
        return ".icc" if list == "profiles"
        return bytes.start_with?("OTTO") ? ".otf" : ".ttf" if list == "faces"
        bytes.start_with?("\x89PNG".b) ? ".png" : ".jpg"
      end
    end
  end
end
