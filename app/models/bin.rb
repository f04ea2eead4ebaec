# frozen_string_literal: true

module App
  # Books that were deleted from the shelf: they stay whole for some days, and can be put back.
  module Bin
    DAYS = 30
    # Of books whose days were ended by hand: before any other.
    ENDED = Time.utc(2000)

    module_function

    # KEEP_BIN_DAYS, where it says any.
    def days = KeptDays.of("KEEP_BIN_DAYS") || DAYS

    # Those that can be put back.
    def books = Book.where("binned_at >= ?", KeptDays.ago(days))

    # Those that go for good.
    def over = Book.where("binned_at < ?", KeptDays.ago(days))

    # When a book of it goes for good, in UTC.
    def ends(book) = KeptDays.over(book.binned_at, days)

    # Takes a book off the shelf. Refusal while anything is at work on it.
    def take(book)
      book.with_lock do
        busy?(book) and raise TileLoom::Refusal.new("shelf.busy", title: book.title)
        book.update_columns(binned_at: Time.now.utc)
      end
    end

    # id: of a book that is in the bin still, or ActiveRecord::RecordNotFound.
    def put_back(id) = mark(id, nil)

    # Ends its days; a job deletes it, as a large book takes its time.
    def end_days(id)
      mark(id, ENDED)
      WorkQueue.put(:empty_bin, nil, turn: Turn::SWEEP)
    end

    # Deletes those whose days are over, and answers how many.
    def empty = over.to_a.each(&:discard).length

    # In one statement, so that of two who want otherwise of a book the first has it.
    def mark(id, moment) =
      books.where(id: id).update_all(binned_at: moment).positive? || raise(ActiveRecord::RecordNotFound)

    def busy?(book) =
      [PressRun, Reprojection, IndexRun].any? { |work| work.where(book_id: book.id, state: work::OPEN).exists? } ||
        Arrival.where(book_id: book.id, state: "importing").exists?

    private_class_method :mark, :busy?
  end
end
