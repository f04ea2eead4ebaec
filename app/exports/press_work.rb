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

    def draw
      @press = @run.press(later: @again)
      @form = @run.order.form
      @missing, @told, @pages = @piece.lacking.dup, @piece.told || {}, kept_pages
      @done = @again ? @piece.numbers.length - @piece.lacking.length : 0
      return forget if items.find { |item| !@run.wanted? || !take(item) }
      @piece.update!(
        pages: @form.paged? ? @piece.numbers.filter_map { |number| @pages[number] }.join : nil,
        missing: @missing,
        told: @told,
        finished: true
      )
    end

    private

    # Items of the press by the numbers of the piece.
    def items
      wanted = @again ? @piece.lacking.keys.map(&:to_i) : @piece.numbers
      all = @press.cells.to_h { |cell| [cell.number, cell] }
      all[PressPiece::INDEX] = TileLoom::Output::Press::INDEX
      all[PressPiece::GROUND] = TileLoom::Output::Press::GROUND
      wanted.filter_map { |number| all[number] }
    end

    # number → bytes, of what was drawn before.
    def kept_pages
      io = StringIO.new(@piece.pages.to_s)
      found = {}
      while (page = TileLoom::Output::Pdf::Page.read(io))
        found[page.head["sheet"]] = page.dump
      end
      found
    end

    # Draws an item; true unless it is not wanted any more.
    def take(item)
      number = PressPiece.number_of(item)
      outcome = @press.attempt(item) { @form.paged? ? @press.page(item, told: true) : made(item) }
      outcome.trouble ? @missing[number.to_s] = outcome.trouble : @missing.delete(number.to_s)
      kept(outcome.made, number) if outcome.made.is_a?(TileLoom::Output::Pdf::Page)
      @piece.update_columns(done: @done += 1)
      true
    end

    # A run that was stopped meanwhile keeps no files.
    def forget = PressFile.where(press_run_id: @run.id).each(&:discard)

    def kept(page, number)
      @pages[number] = page.dump
      @told[page.head["name"]] = page.told if page.told.any?
    end

    # Makes the files of an item aside, and keeps them when all of them are whole.
    def made(item)
      Dir.mktmpdir("tile-loom-press") do |folder|
        number = PressPiece.number_of(item)
        names = @form.make(@press, item, folder, @run.names.fetch(number.to_s), secrets: @run.given_secrets)
        names.each_with_index do |name, index|
          PressFile.keep(
            @run,
            File.join(folder, name),
            position: (number + 2) * 10 + index,
            media: PressFile.media_of(name)
          )
        end
        tell(item)
        names
      end
    end

    def tell(item)
      return if item == TileLoom::Output::Press::GROUND
      sentences = @press.composer(item).left_out
      @told[TileLoom::Output::Press.name_of(item)] = sentences if sentences.any?
    end
  end
end
