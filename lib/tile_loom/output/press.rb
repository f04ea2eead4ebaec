# frozen_string_literal: true

require "date"
require "fileutils"

module TileLoom
  module Output
    # Makes what an order asks for of a book: which sheets, their pages, the names of the files, and files that appear
    # only when whole.
    class Press
      attr_reader :book, :source, :order, :today

      # order: an Order; cells: of the index, where they are known; today: the date of files that must have one where
      # the book has none.
      def initialize(book:, source:, order: Order.plain, cells: nil, today: Date.today)
        @book, @source, @order, @cells, @today = book, source, order, cells, today
      end

      # Stand for all of the book, and for its ground, where sheets are named.
      BOOK, GROUND = :book, :ground

      def cells = @cells ||= @book.cells(@source)

      # What the order's range and condition come to. Refusal where that is nothing.
      def picked
        @picked ||=
          begin
            found = in_range
            found = found.select { |item| meets?(item) } if @order.where
            raise Refusal.new(@order.where ? "output.no_sheet_meets" : "output.no_sheets") if found.empty?
            found
          end
      end

      # What of the range was read as a name or a number, in sentences.
      def readings = range.readings(cells)

      # What the order makes files of: sheets, or the one thing that its form is about.
      def items = @items ||= @order.form.items(self)

      # {item → name of its file}; BOOK for a form that is one file.
      def names = file_names.to_h

      # Pixels an inch: the order's, or the book's.
      def ppi = @order.ppi || @book.resolution_ppi

      def file_names = @file_names ||= FileNames.new(self)

      # {number → name} of the sheets.
      def sheets = picked.to_h { |item| [number_of(item), self.class.name_of(item)] }

      # Refuses what cannot be made.
      def check
        @order.form.check(self)
        items
        names
        self
      end

      # What a page is called.
      def self.name_of(item) = item.is_a?(Symbol) ? "the #{item}" : item.name

      # All pages of the book: a Layout::Run.
      def run = @run ||= @book.tap { |book| book.with_cells(cells) if @cells }.run(@source)

      # Some of many items, spread evenly, that stand for all before any is drawn.
      def self.spread(items, most: 12)
        return items if items.length <= most
        (0...most).map { |place| items[place * (items.length - 1) / (most - 1)] }
      end

      # Zero and below for pages that are no sheets.
      def number_of(item) = item.number

      # The Pdf::Page of a Layout::BookPage. notices: does it bring along what it leaves out?
      def page(item, count: cells.length, notices: false) =
        page_of(composer(item, count: count), book_page_of(item), notices: notices)

      # Writes pages into one file, as the form binds them. Refusal when the place cannot be written.
      def bind(pages, file, secrets: nil) = @order.form.bind(self, pages, file, secrets: secrets)

      # The composer of a page; count: of the sheets. The last one stays at hand, since
      # its sheet is asked for more than once: its page, the place of its frame, what it leaves out.
      def composer(item, count: cells.length)
        book_page = book_page_of(item)
        return @at_hand.last if @at_hand&.first == [book_page, book_page.cells, count]
        compose(book_page, count).tap { |composer| @at_hand = [[book_page, book_page.cells, count], composer] }
      end

      # The Layout::BookPage of a cell, which may stand otherwise than in the book; one as it is.
      def book_page_of(item)
        return item unless item.is_a?(Index::Cell)
        book_page = run.book_page(item.number)
        return book_page if book_page&.cell == item
        Layout::BookPage.new(
          kind: :sheet,
          number: item.number,
          name: item.name,
          cells: [item],
          position: book_page&.position,
          folio: book_page&.folio
        )
      end

      # The Artwork::IccProfile of the printing press.
      def profile = @book.profile(@order.form.manner.profile, path: @order.form.manner.path)

      # Live text of a file's name. counter: of the file, from 1.
      def live_name(item, pattern, counter)
        text = (@live_names ||= {})[pattern] ||= Compose::LiveText.new(pattern, path: "/file_name")
        own = (@file_values ||= FileValues.new(self)).of(item, counter)
        text.fill(own)
      rescue Refusal => error
        raise unless error.code == "live_text.unknown_value" && item.respond_to?(:number)
        text.fill(with_drawn(composer(item).values, own))
      end

      # The names of an item's files, made in a folder, and what its sheet leaves out.
      Made = Struct.new(:names, :notices)

      # name: of the main file; secrets: Secrets or nil.
      def make(item, folder, name: names.fetch(item), secrets: nil)
        made = @order.form.make(self, item, folder, name, secrets: secrets)
        Made.new(made, (item == GROUND) ? [] : composer(item).left_out)
      end

      # What came of an item: a Pdf::Page or a Made, or the sentence that says why there is none.
      Outcome = Struct.new(:item, :made, :trouble)

      # Does the block's work for an item; what cannot be printed is said with the sheet on which it is, and does not
      # keep the others from it.
      def attempt(item)
        Outcome.new(item, yield, nil)
      rescue Refusal => error
        Outcome.new(item, nil, error.message)
      end

      # What one of the items takes: a page drawn for it.
      Sample = Struct.new(:item, :bytes, :seconds)

      # Of the item in the middle; nil where there is no sheet among them.
      def sample(items)
        item =
          items.select { |one| one.is_a?(Layout::BookPage) && one.sheet? }.then { |list| list[list.length / 2] } ||
          items.find { |one| one.is_a?(Layout::BookPage) }
        item &&
          (@samples ||= {})[item] ||= begin
            # What is worked out once for all sheets is not counted for each.
            page_of(compose(item), item)
            before = Process.clock_gettime(Process::CLOCK_MONOTONIC)
            bytes = page_of(compose(item), item).dump.bytesize
            Sample.new(item, bytes, Process.clock_gettime(Process::CLOCK_MONOTONIC) - before)
          end
      end

      # Opens a file beside the wanted one and gives it the name when the block is done. finish: called with the path of
      # the written file before that.
      def self.aside(file, finish: nil)
        whole(file) do |temporary|
          File.open(temporary, "wb") { |io| yield io }
          finish&.call(temporary)
        end
      end

      # Yields the path of a file beside the wanted one, of the same ending, and renames it when the block is done and
      # all of it is on the disk; leaves nothing behind when it is not.
      def self.whole(file)
        folder, name = File.dirname(File.expand_path(file)), File.basename(file)
        raise Refusal.new("output.no_such_folder", name: name, detail: folder) unless File.directory?(folder)
        raise Refusal.new("output.folder_of_that_name", name: name, detail: file) if File.directory?(file)
        temporary = File.join(folder, ".part-#{Process.pid}-#{name}")
        yield temporary
        File.open(temporary, &:fsync)
        File.rename(temporary, file)
        File.open(folder, &:fsync)
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

      private

      def range = Index::SheetRange.new(@order.sheets, others: run.others.reject(&:blank?))

      # Layout::BookPage list, in the order of the pages. An empty page comes with the one that it stands before.
      def in_range
        numbers = range.pick(cells).to_h { |cell| [cell.number, true] }
        others = range.others(cells).to_h { |book_page| [book_page.number, true] }
        found =
          run.book_pages.select { |book_page| book_page.sheet? ? numbers[book_page.number] : others[book_page.number] }
        whole = found.length == run.book_pages.count { |book_page| !book_page.blank? }
        whole ? run.book_pages : found
      end

      def compose(book_page, count = cells.length)
        things = @order.form.manner.object_data.to_h { |entry| [entry.layer, entry.fields || []] }
        Compose::Composers.of(@book, @source, book_page, count: count, things: things, ppi: ppi)
      end

      def page_of(composer, cell, notices: false)
        manner = @order.form.manner
        Pdf::Page.of(
          composer.drawing,
          notices: notices ? composer.left_out : [],
          sheet: number_of(cell),
          name: self.class.name_of(cell),
          part: part_of(cell),
          georeferenced: manner.georeferenced?,
          inks: inks(manner),
          tagged: manner.tagged?,
          switchable: manner.switchable?,
          ppi: ppi
        )
      end

      def inks(manner) =
        @inks ||= manner.press? ? Pdf::Inks.new(palette: @book.palette, profile: profile) : Pdf::Inks.new

      CHUNK = 25

      # The rows of a grid; of other indexes so many sheets together.
      def part_of(book_page)
        return nil unless book_page.sheet?
        return "Row #{book_page.cell.row + 1}" if @book.index.kind == "grid"
        "Sheets #{(book_page.number - 1) / CHUNK * CHUNK + 1} and on"
      end

      # What only a sheet that is drawn knows, and what files know beside it.
      def with_drawn(values, own) =
        values.merge(own) { |_, drawn, known| (drawn.is_a?(Hash) && known.is_a?(Hash)) ? drawn.merge(known) : known }

      # Pages that are no sheets meet no condition on sheets.
      def meets?(book_page) =
        book_page.sheet? &&
          @order.where.match?(sheets_feature(book_page.cell).merge(Compose::Standing.own(book_page.cell)))

      # Attributes of its feature, where the condition asks for any.
      def sheets_feature(item)
        return {} if @order.where.attributes.all? { |name| name.start_with?("sheet.") }
        Compose::Standing.feature(@book, @source, item).attributes
      end
    end
  end
end
