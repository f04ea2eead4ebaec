# frozen_string_literal: true

require "tmpdir"

module App
  # Draws the items of one piece of a run that are not drawn yet: pages into the piece, or files among the finished.
  # What of it cannot be drawn is named, and the others are drawn.
  class PressWork
    def initialize(run, piece)
      @run, @piece = run, piece
      # Of a piece that was drawn before, only what it lacks.
      @again = piece.lacking.any? && !run.later.nil?
    end

    def draw = TileCache.patiently { draw_all }

    private

    def draw_all
      @press = @run.press(later: @again)
      @form = @run.order.form
      @missing, @notices, @pages = @piece.lacking.dup, @piece.notices || {}, kept_pages
      @done = @again ? @piece.numbers.length - @piece.lacking.length : 0
      return forget if items.find { |item| !@run.wanted? || !take(item) }
      @piece.update!(
        pages: @form.paged? ? @piece.numbers.filter_map { |number| @pages[number] }.join : nil,
        missing: @missing,
        notices: @notices,
        finished: true
      )
    end

    # Items of the press by the numbers of the piece.
    def items
      wanted = @again ? @piece.lacking.keys.map(&:to_i) : @piece.numbers
      all = @press.run.book_pages.to_h { |book_page| [book_page.number, book_page] }
      all[PressPiece::GROUND] = TileLoom::Output::Press::GROUND
      wanted.filter_map { |number| all[number] }
    end

    # number → bytes, of what was drawn before.
    def kept_pages
      {}.tap { |found| TileLoom::Output::Pdf::Page.each(@piece.pages) { |page| found[page.head["sheet"]] = page.dump } }
    end

    # Draws an item; true unless it is not wanted any more.
    def take(item)
      number = PressPiece.number_of(item)
      outcome = @press.attempt(item) { @form.paged? ? @press.page(item, notices: true) : made(item, number) }
      outcome.trouble ? @missing[number.to_s] = outcome.trouble : @missing.delete(number.to_s)
      kept(item, number, outcome.made) if outcome.made
      @piece.update_columns(done: @done += 1)
      true
    end

    # A run that was stopped meanwhile keeps no files.
    def forget = PressFile.where(press_run_id: @run.id).each(&:discard)

    def kept(item, number, made)
      @pages[number] = made.dump if @form.paged?
      @notices[TileLoom::Output::Press.name_of(item)] = made.notices if made.notices.any?
    end

    # In the order of the pages, behind the file of the ground.
    def place_of(item) = item.is_a?(Symbol) ? 1 : item.position + 1

    # Makes the files of an item aside, and keeps them when all of them are whole.
    def made(item, number)
      Dir.mktmpdir("tile-loom-press") do |folder|
        name = @run.names.fetch(number.to_s)
        @press
          .make(item, folder, name: name, secrets: @run.given_secrets)
          .tap do |made|
            made.names.each_with_index do |file, index|
              PressFile.keep(@run, File.join(folder, file), position: place_of(item) * 10 + index)
            end
          end
      end
    end
  end
end
