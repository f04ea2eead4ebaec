# frozen_string_literal: true

require "fileutils"

module TileLoom
  module Output
    # Prints sheets of a book: pages one by one, and files that appear only when whole.
    class Press
      def initialize(book:, source:)
        @book, @source = book, source
      end

      # Stands for the index sheet among the cells to print.
      INDEX = :index

      # What a range of sheets comes to, in the order of the pages: INDEX and cells. text: as Range reads it.
      def pick(text, cells)
        range = Range.new(text, index: !@book.index_layout.nil?)
        picked = range.pick(cells)
        range.index? ? [INDEX, *picked] : picked
      end

      # What a cell's sheet is called, or the index sheet.
      def self.name_of(cell) = (cell == INDEX) ? Compose::IndexSheetComposer::NAME : cell.name

      # The Pdf::Page of a cell, or of the index sheet. told: does it bring along what it leaves out?
      def page(cell, count: @book.cells(@source).length, told: false)
        composer = composer(cell, count: count)
        Pdf::Page.of(composer.drawing, told: told ? composer.left_out : [])
      end

      # The composer of a cell's sheet, or of the index sheet; count: of the sheets.
      def composer(cell, count: @book.cells(@source).length)
        return TileLoom::Compose::IndexSheetComposer.new(book: @book, source: @source, count: count) if cell == INDEX
        TileLoom::Compose::SheetComposer.new(book: @book, source: @source, cell: cell, count: count)
      end

      # Writes the pages that the enumerable gives into the file, aside first, then renamed.
      # Refusal when the place cannot be written.
      def bind(pages, file)
        self
          .class
          .aside(file) do |io|
            writer =
              Pdf::Writer.new(
                io,
                title: @book.title,
                author: @book.author,
                subject: @book.subject,
                date: @book.parsed_date,
                faces: @book.faces,
                pictures: @book.pictures.method(:of_content)
              )
            pages.each { |page| writer.add(page) }
            writer.close
          end
      end

      # Opens a file beside the wanted one and renames it when the block is done and all of it is on the disk; leaves
      # nothing behind when it is not.
      def self.aside(file)
        folder, name = File.dirname(File.expand_path(file)), File.basename(file)
        raise Refusal.new("output.no_such_folder", name: name, detail: folder) unless File.directory?(folder)
        raise Refusal.new("output.folder_of_that_name", name: name, detail: file) if File.directory?(file)
        temporary = File.join(folder, ".#{name}.#{Process.pid}.part")
        File.open(temporary, "wb") do |io|
          yield io
          io.flush
          io.fsync
        end
        File.rename(temporary, file)
        File.open(folder) { |entry| entry.fsync }
      rescue SystemCallError => error
        raise Refusal.new(
          "output.not_written",
          name: name,
          trouble: error.message.split(" @ ").first,
          detail: error.message
        )
      ensure
        FileUtils.rm_f(temporary) if temporary
      end
    end
  end
end
