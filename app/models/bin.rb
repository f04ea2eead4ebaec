# frozen_string_literal: true

module App
  # Books that were deleted from the shelf: they stay whole for some days, and can be put back.
  module Bin
    DAYS = 30
    DAY_S = 86_400
    # Of books whose days were ended by hand: before any other.
    ENDED = Time.utc(2000)

    module_function

    # KEEP_BIN_DAYS, from 1 to 9,999.
    def days = ENV["KEEP_BIN_DAYS"].to_s[/\A[1-9]\d{0,3}\z/]&.to_i || DAYS

    # Those that can be put back.
    def books = Book.where(making: false).where("binned_at >= ?", last_day)

    # Those that go for good.
    def over = Book.where(making: false).where("binned_at < ?", last_day)

    # When a book of it goes for good, in UTC.
    def ends(book) = book.binned_at + days * DAY_S

    # Takes a book off the shelf. Refusal while anything is at work on it.
    def take(book)
      busy?(book) and raise TileLoom::Refusal.new("shelf.busy", title: book.title)
      book.update_columns(binned_at: Time.now.utc)
    end

    def put_back(book) = book.update_columns(binned_at: nil)

    # Ends its days; a job deletes it, as a large book takes its time.
    def end_days(book)
      book.update_columns(binned_at: ENDED)
      WorkQueue.put(:empty_bin, book.id, turn: Turn::SWEEP)
    end

    # Deletes those whose days are over, and answers how many.
    def empty = over.to_a.each(&:discard).length

    def last_day = Time.now.utc - days * DAY_S

    def busy?(book) =
      [PressRun, Reprojection, IndexRun].any? { |work| work.where(book_id: book.id, state: work::OPEN).exists? } ||
        Arrival.where(book_id: book.id, state: "importing").exists?

    private_class_method :last_day, :busy?
  end
end
