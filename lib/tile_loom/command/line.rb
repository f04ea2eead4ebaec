# frozen_string_literal: true

require "thor"
require "json"

module TileLoom
  module Command
    # bin/loom: books from the command line, through the core alone.
    class Line < Thor
      def self.exit_on_failure? = true

      desc "make BOOK.json --out FILE.pdf", "print a book, or some of its sheets"
      option :out, required: true, desc: "the PDF to write"
      option :sheets, default: "all", desc: "which sheets, such as 1-3,7"
      option :processes, type: :numeric, default: 1, desc: "how many processes draw at once"
      def make(path)
        guarded do
          book = Book::Folio.read(path)
          refuse(Book::Check.new(book.document.settings, enclosures: book.document.enclosures).findings)
          source = book.source { |title| say "Reading #{title}" }
          all = book.document.cells(source)
          press = Output::Press.new(book: book.document, source: source)
          cells = press.pick(options[:sheets], all)
          pages = Output::Parallel.new(processes: options[:processes]).map(cells) { |cell| press.page(cell, count: all.length) }
          press.bind(counted(pages, cells), options[:out])
          say "#{cells.length} #{(cells.length == 1) ? "sheet" : "sheets"} in #{options[:out]}"
          tell_left_out(book.document, source)
        end
      end

      desc "check BOOK.json", "list what is wrong in a book, each with its path"
      def check(path)
        guarded do
          text = File.file?(path) ? File.binread(path) : raise(Invalid.new("The book #{path} does not exist."))
          settings = parsed(text)
          refuse(Book::Check.new(settings, enclosures: beside(path)).findings)
          # Also reads the data and weaves, which finds what only they can show.
          book = Book::Folio.new(path, Book::Document.new(settings, enclosures: beside(path)))
          source = book.source
          refuse(Book::Check.new(settings, enclosures: beside(path)).findings(source: source))
          say "Nothing is wrong in #{path}."
          tell_left_out(book.document, source)
        end
      end

      desc "new --data FILE … --area LAYER --scale N --reference EPSG:… --out BOOK.json", "write a first book for data files"
      option :data, type: :array, required: true, desc: "data files in any format that GDAL reads"
      option :area, required: true, desc: "the layer that the index covers"
      option :scale, type: :numeric, required: true, desc: "the denominator: 5000 for 1:5,000"
      option :page, default: "A3", desc: "A0…A6, B0…B5, \"ANSI A\"…\"ANSI E\""
      option :landscape, type: :boolean, default: false
      option :reference, required: true, desc: "the book’s coordinate reference"
      option :design, default: "side-panel", desc: "a ready design: #{Layout::Designs.names.join(", ")}"
      option :title, default: "New book"
      option :out, required: true
      def new
        guarded do
          settings = Draft.new(options.transform_keys(&:to_sym)).settings { |name| say "Reading #{name}" }
          Output::Press.aside(options[:out]) { |io| io.write(JSON.pretty_generate(settings), "\n") }
          count = settings["layers"].length
          say "A book of #{count} #{(count == 1) ? "layer" : "layers"} in #{options[:out]}"
        end
      end

      no_commands do
        # What cannot be done is said in a sentence, not with a stack of calls.
        def guarded
          yield
        rescue Invalid => error
          raise Thor::Error, [error.path, error.message].compact.join(": ")
        end

        # What of the study area no sheet shows.
        def tell_left_out(document, source)
          titles = document.settings["layers"].to_h { |layer| layer.values_at("id", "title") }
          document.cover(source).left_out.sentences(titles).each { |sentence| say "Left out: #{sentence}." }
        end

        def refuse(findings)
          return if findings.empty?
          raise Thor::Error, findings.map { |finding| [finding.path, finding.message].compact.join(": ") }.join("\n")
        end

        def parsed(text) = JsonText.parse(text, what: "The book")

        def beside(path) = Book::Enclosures.new(folder: File.dirname(File.expand_path(path)))

        def counted(pages, cells)
          pages.each_with_index.lazy.map do |page, index|
            say "Sheet #{(cells[index] == Output::Press::KEY) ? Sheet::KeyComposer::NAME : cells[index].name}, #{index + 1} of #{cells.length}"
            page
          end
        end
      end
    end
  end
end
