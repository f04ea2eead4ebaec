# frozen_string_literal: true

require "fileutils"
require "thor"
require "tmpdir"
require "json"

module TileLoom
  module Command
    # bin/loom: books from the command line, through the core alone.
    class CommandLine < Thor
      def self.exit_on_failure? = true

      # Of Thor: a list of commands that help has.
      remove_command :tree

      # A book of more sheets is printed only when all of them are asked for.
      MOST_UNASKED = 1_000

      desc "make BOOK.json", "print a book, or some of its sheets"
      option :out, required: true, banner: "FILE.pdf", desc: "the PDF to write"
      option :sheets, desc: "which sheets, such as 1-3,7; default: all"
      option :processes, type: :numeric, default: 1, desc: "how many processes draw at once"
      option :json, type: :boolean, default: false, desc: "the result and warnings as JSON"
      def make(path)
        guarded do
          book, source = opened(path)
          all = book.document.cells(source)
          press = Output::Press.new(book: book.document, source: source, order: order_of_sheets)
          demand_asked(all, book.document, source)
          cells = press.picked
          pages =
            Output::Parallel
              .new(processes: options[:processes])
              .map(cells) { |cell| press.page(cell, count: all.length, notices: true) }
          press.bind(counted(pages, cells), options[:out])
          notices.add(Output::Plan.new(press).coarse_pixels)
          tell_of_book(book, source)
          report("#{in_words(cells)} in #{options[:out]}", {"file" => options[:out], "sheets" => cells.length})
        end
      end

      desc "export BOOK.json", "export a book in one format: #{Output::Forms.keys.join(", ")}"
      option :as, desc: "the format; its settings as --set format=jpeg pdf.tagged=true"
      option :set, type: :array, default: [], desc: "settings of the format"
      option :saved, banner: "NAME", desc: "export settings saved in the book, by their name"
      option :out, required: true, banner: "FOLDER", desc: "the folder to write into, or a file that ends in .zip"
      option :sheets, desc: "which sheets, such as 1-3,7; default: all"
      option :ppi, type: :numeric, desc: "pixels per inch"
      option :name, desc: "live text that files are named by"
      option :password_file, desc: "a file whose first line is the password that opens what is exported"
      option :processes, type: :numeric, default: 1, desc: "how many processes draw at once"
      option :json, type: :boolean, default: false, desc: "the result and warnings as JSON"
      def export(path)
        guarded do
          book, source = opened(path)
          press = Output::Press.new(book: book.document, source: source, order: Asked.new(options, book.document).order)
          demand_asked(press.cells, book.document, source)
          press.check
          plan = Output::Plan.new(press, workers: options[:processes])
          notices.add(plan.notices)
          # Drawing before the processes part would leave libvips in a state that does not outlive it.
          foretold = Output::Parallel.new.apart { press.attempt(nil) { plan.in_words } }.made
          progress foretold if foretold
          done = Export.new(press, options) { |text| progress text }.run
          done.notices.each { |sheet, sentences| notices.add(sentences, sheet: sheet) }
          tell_of_book(book, source)
          report(done.sentence, done.to_h)
          exit 1 if done.missing.any?
        end
      end

      desc "check BOOK.json", "list what is wrong in a book, each with its path, and what its sheets leave out"
      option :sheets, desc: "which sheets are checked; default: all"
      option :json, type: :boolean, default: false, desc: "the same as JSON"
      def check(path)
        guarded do
          raise Refusal.new("command.no_such_book", path: path) unless File.file?(path)
          file = document_of(path)
          settings = parsed(File.binread(file))
          refuse(Document::Check.new(settings, enclosures: beside(file)).findings)
          # Also reads the data and generates the index, which finds what only they can show.
          book = Document::Folio.new(file, Document::Book.new(settings, enclosures: beside(file)))
          source = book.source
          refuse(Document::Check.new(settings, enclosures: beside(file)).findings(source: source))
          notices.add(Document::LooseEnds.new(book.document, source).list)
          look_at_sheets(book.document, source)
          notices.add(Output::Plan.new(Output::Press.new(book: book.document, source: source)).coarse_pixels)
          tell_of_book(book, source)
          report("Nothing is wrong in #{path}.", {"file" => path})
        end
      end

      desc "convert BOOK", "write a book as another file: with everything in one .zip, or as one .json"
      option :out, required: true, banner: "BOOK.tileloom.zip", desc: "the file to write, a .zip or a .json"
      option :json, type: :boolean, default: false, desc: "the result and warnings as JSON"
      def convert(path)
        guarded do
          Converted.demand(options[:out])
          book, source = opened(path)
          Converted.new(Document::CarriedFolio.new(book, source), options[:out], notices) { |text| progress text }.write
          notices.add(book.notices)
          report("The book in #{options[:out]}", {"file" => options[:out]})
        end
      end

      desc "new", "write a first book for data files"
      option :data, type: :array, required: true, banner: "FILE …", desc: "data files in any format that GDAL reads"
      option :area, required: true, banner: "LAYER", desc: "the layer that the index covers"
      option :scale, required: true, banner: "1:N", desc: "the scale: 1:5,000, or 5000"
      option :page, default: "A3", desc: "one of #{(Layout::PageSize.names - [Layout::PageSize::CUSTOM]).join(", ")}"
      option :landscape, type: :boolean, default: false, desc: "a page wider than high"
      option :crs, required: true, banner: "EPSG:…", desc: "the book’s CRS"
      option :design, default: "side-panel", desc: "a built-in design: #{Layout::Designs.names.join(", ")}"
      option :title, default: "New book", desc: "the title of the book"
      option :out, required: true, banner: "BOOK.json", desc: "the book to write"
      def new
        guarded do
          draft = Draft.new(options.transform_keys(&:to_sym))
          settings = draft.settings { |name| say "Reading #{name}" }
          Output::Press.aside(options[:out]) { |io| io.write(JSON.pretty_generate(settings), "\n") }
          count = settings["layers"].length
          say "A book of #{count} #{(count == 1) ? "layer" : "layers"} in #{options[:out]}"
          draft.notices.each { |line| say line }
        end
      end

      no_commands do
        # What cannot be done is said in a sentence, not with a stack of calls.
        def guarded
          yield
        rescue Refusal => error
          raise Thor::Error, [error.pointer, error.message].compact.join(": ")
        rescue Failure => error
          raise Thor::Error, error.message
        rescue Thor::Error, Errno::EPIPE
          raise
        rescue StandardError, SystemStackError, NoMemoryError => error
          raise Thor::Error, Fault.new(error, ARGV).sentence
        end

        # A book that nothing is wrong with, and its data.
        def opened(path)
          book = Document::Folio.read(document_of(path))
          refuse(Document::Check.new(book.document.settings, enclosures: book.document.enclosures).findings)
          [book, book.source { |title| progress "Reading #{title}" }]
        end

        # The document of a book that is an archive, taken out until the command ends; of another the path itself.
        def document_of(path)
          return path unless File.file?(path) && File.extname(path).casecmp?(".zip")
          folder = Dir.mktmpdir("tile-loom-book")
          at_exit { FileUtils.rm_rf(folder) }
          Document::BookZip.new(path).unfold(folder)
          File.join(folder, Document::BookZip::DOCUMENT)
        end

        def notices = @notices ||= Notices.new

        def order_of_sheets = Output::Order.new({"sheets" => options[:sheets].to_s})

        # Data far from where the reference is made for, or a scale that is none for the ground, may make tens of
        # thousands of sheets.
        def demand_asked(all, document, source)
          return if options[:sheets] || all.length <= MOST_UNASKED
          raise Refusal.new(
            "command.too_many_unasked",
            count: Units::Number.grouped(all.length),
            warnings: ground_warnings(document, source).map { |sentence| "#{sentence} " }.join
          )
        end

        # "27 sheets"; pages, where some are none.
        def in_words(book_pages)
          kind = (book_pages.any? { |book_page| book_page.page? || book_page.blank? }) ? "page" : "sheet"
          "#{book_pages.length} #{kind}#{"s" unless book_pages.length == 1}"
        end

        def look_at_sheets(document, source)
          press = Output::Press.new(book: document, source: source, order: order_of_sheets)
          press.picked.each { |cell| notices.add(press.composer(cell).left_out, sheet: name_of(cell)) }
        end

        # What was left out of the data, what the index notes, what no sheet shows, what the reference does there.
        def tell_of_book(book, source)
          document = book.document
          titles = document.layers.to_h { |layer| [layer.id, layer.title] }
          notices.add(book.notices)
          notices.add(ground_warnings(document, source))
          notices.add(document.woven(source).notes)
          notices.add(document.cover(source).left_out.sentences(titles).map { |sentence| "Left out: #{sentence}." })
        end

        def ground_warnings(document, source)
          boxes = document.layers.filter_map { |layer| source.extent(layer.id)&.then { |box| [layer.title, box] } }
          return [] if boxes.empty?
          distortion(document, boxes.map(&:last).reduce { |all, other| all.union(other) }).warnings
        rescue Refusal => error
          # Of which layers it is.
          named = boxes.filter_map { |title, box| beyond(document, title, box) }
          named.empty? ? [error.message] : named
        end

        def distortion(document, box) = Crs::Distortion.new(document.crs, box, held: document.index.held)

        # What is said of a layer that reaches beyond the reference, or nil.
        def beyond(document, title, box)
          distortion(document, box).warnings
          nil
        rescue Refusal => error
          "#{title}: #{error.message}"
        end

        def refuse(findings)
          return if findings.empty?
          raise Thor::Error, findings.map { |finding| [finding.pointer, finding.message].compact.join(": ") }.join("\n")
        end

        def parsed(text) = Assets::JsonText.parse(text, what: "The book")

        def beside(path) = TileLoom::Assets::Enclosures.new(folder: File.dirname(File.expand_path(path)))

        # While it works; not among JSON.
        def progress(text) = options[:json] || say(text)

        def report(sentence, facts)
          return say(JSON.pretty_generate(facts.merge("warnings" => notices.to_a))) if options[:json]
          say sentence
          notices.lines.each { |line| say line }
        end

        def name_of(cell) = Output::Press.name_of(cell)

        def counted(pages, cells)
          pages.each_with_index.lazy.map do |page, index|
            progress "Sheet #{name_of(cells[index])}, #{index + 1} of #{cells.length}"
            notices.add(page.notices, sheet: name_of(cells[index]))
            page
          end
        end
      end
    end
  end
end
