# frozen_string_literal: true

module TileLoom
  module Command
    # A book as another file: with everything in a zip archive, or as one JSON file.
    class Converted
      ENDINGS = %w[.zip .json].freeze

      # Refusal for a file of neither kind.
      def self.demand(file)
        return if ENDINGS.include?(File.extname(file).downcase)
        raise Refusal.new("command.neither_zip_nor_json", file: file)
      end

      # carrier: see Document::Carrier; file: of one of the endings; notices: a Notices; the block is told what is being
      # done.
      def initialize(carrier, file, notices, &progress)
        @carrier, @file, @notices, @progress = carrier, file, notices, progress
      end

      def write
        Output::Press.aside(@file) { |io| ending(io) }
      end

      private

      def ending(io)
        if File.extname(@file).casecmp?(".zip")
          writer = Document::BookZipWriter.new(@carrier)
          writer.write(io) { |title| @progress.call("Writing #{title}") }
          @notices.add(writer.notices)
        else
          Document::BookText.new(@carrier).each { |text| io.write(text) }
          @notices.add(
            Document::Carrier.left_behind(@carrier.settings).map { |title| "#{title}: the raster is not included." }
          )
        end
      end
    end
  end
end
