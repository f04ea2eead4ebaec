# frozen_string_literal: true

require "tmpdir"

module App
  # The end of a run whose pieces are all drawn: pages are bound into the file, and it is said what came of it.
  class PressEnd
    def initialize(run) = @run = run

    # Only one worker wins the right to end it; doing it twice would do no harm.
    def reach
      missing = @run.missing
      return lack(missing) if missing.any?
      bind if @run.order.form.paged?
      ended = @run.finish("done")
      ended ? @run.pieces.update_all(pages: nil) : drop
    end

    private

    def lack(missing)
      return @run.finish("failed", reason: missing.values.first) if missing.length >= @run.total
      @run.finish("incomplete", reason: "#{missing_of_all(missing.length)}: #{in_words(missing)}")
    end

    # "1 of 1,200 sheets is missing"
    def missing_of_all(count)
      all = TileLoom::Units::Number.grouped(@run.total)
      "#{TileLoom::Units::Number.grouped(count)} of #{all} sheets #{(count == 1) ? "is" : "are"} missing"
    end

    MOST_NAMED = 4

    # "B1, B2 (why); C4 (another why)"
    def in_words(missing)
      named =
        missing.group_by(&:last).first(MOST_NAMED).map { |why, list| "#{named(list.map(&:first))} (#{why.chomp(".")})" }
      "#{named.join("; ")}."
    end

    def named(numbers) = TileLoom::Sentences.listed(numbers.map { |number| name_of(number.to_i) }, MOST_NAMED)

    def name_of(number)
      return @run.cells.find { |row| row["number"] == number }&.fetch("name") || number.to_s if number.positive?
      @run.press.run.book_page(number)&.name || number.to_s
    end

    def bind
      Dir.mktmpdir("tile-loom-press") do |folder|
        path = File.join(folder, @run.names.fetch("book"))
        @run.press.bind(pages, path, secrets: @run.given_secrets)
        PressFile.keep(@run, path, position: 0)
      end
    end

    # Another worker may have ended it already; a stopped or deleted one keeps nothing.
    def drop
      state = PressRun.where(id: @run.id).pick(:state)
      @run.files.each(&:discard) unless state == "done"
    end

    # One piece at a time is in memory.
    def pages
      Enumerator.new do |found|
        @run
          .pieces
          .pluck(:id)
          .each do |id|
            TileLoom::Output::Pdf::Page.each(PressPiece.where(id: id).pick(:pages)) { |page| found << page }
          end
      end
    end
  end
end
