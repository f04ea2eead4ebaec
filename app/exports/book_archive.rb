# frozen_string_literal: true

require "tmpdir"

module App
  # A book with everything as a zip archive (TileLoom::Document::BookZip).
  class BookArchive
    def initialize(book) = @book = book

    def name = "#{TileLoom::Document::Starter.id_for(@book.title, [])}#{TileLoom::Document::BookZip::ENDING}"

    # Yields the path of the finished file, which is gone after the block, and sentences of what did not go along. The
    # book is of one moment, whatever changes meanwhile.
    def make
      Dir.mktmpdir("tile-loom-archive") do |folder|
        path = File.join(folder, name)
        writer = nil
        Book.transaction do
          TileLoom::Pulse.expect(@book.layers.sum(&:feature_count))
          writer = TileLoom::Document::BookZipWriter.new(CarriedBook.new(Book.find(@book.id), folder))
          File.open(path, "wb") { |io| writer.write(io) }
        end
        yield path, writer.notices
      end
    end
  end
end
