# frozen_string_literal: true

module App
  # The history of a book: what was changed, and the book as it was behind any change.
  class History
    # Steps that are listed at once.
    PAGE = 60

    def initialize(book) = @book = book

    # The Edits before a position (nil: from the last one on), the latest first. touching: what they are about
    # (Edit.touched), or nil for all.
    def steps(before: nil, touching: nil)
      found = @book.edits.order(position: :desc).limit(PAGE)
      found = found.where("position < ?", before) if before
      found = found.touching(touching) if touching
      found.select(:id, :position, :label, :touched, :session, :about, :state, :steps, :began_at, :created_at).to_a
    end

    # Is there a step behind which the book can be looked at? 0: before the first one.
    def step?(position) = position.zero? || @book.edits.exists?(position: position)

    # The Moment behind an edit; 0: before the first one. RecordNotFound where there is none.
    def at(position)
      raise ActiveRecord::RecordNotFound unless step?(position)
      self.class.consistently do
        @book.reload
        start = nearest(position)
        edits = between(start.position, position)
        return start if edits.empty?
        start.walked(edits, (start.position < position) ? "forth" : "back").tap { |moment| moment.position = position }
      end
    end

    # The book as it was, to be looked at.
    def book_at(position) = @book.as_it_was(at(position))

    # Reads what others may change meanwhile as of one moment.
    def self.consistently(&block)
      return yield if ActiveRecord::Base.connection.transaction_open?
      ActiveRecord::Base.transaction(isolation: :repeatable_read, &block)
    end

    # Behind which steps somebody may ask for the book by name: named versions, and runs of the press.
    def marked = NamedVersion.where(book_id: @book.id).pluck(:position) | @book.press_runs.distinct.pluck(:position)

    private

    # The state that is kept, or the book as it stands, from which it is the fewest steps.
    def nearest(position)
      kept = BookState.where(book_id: @book.id).select(:id, :position).to_a
      found = kept.min_by { |state| (state.position - position).abs }
      return Moment.now(@book) if found.nil? || (@book.edit_position - position).abs <= (found.position - position).abs
      BookState.find(found.id).moment
    end

    # In the order in which they are walked.
    def between(from, to)
      edits = @book.edits.where("position > ? AND position <= ?", *[from, to].minmax)
      edits.order(position: (from < to) ? :asc : :desc).to_a
    end
  end
end
