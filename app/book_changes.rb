# frozen_string_literal: true

module App
  # The one place through which a book changes: it checks the new document, writes rows, weaves again
  # where that is called for, and records what was before and after.
  class BookChanges
    # What a request was based on is no longer how the book stands.
    class Stale < StandardError; end

    WEAVE_KEYS = [%w[index], %w[reference], %w[layout page], %w[layout elements]].freeze

    def initialize(book) = @book = book

    # patch: a JSON merge patch (RFC 7396) on the book document. revision: the one the change was made
    # on, or nil not to ask. Returns the book.
    def apply(patch, label:, revision: nil)
      raise TileLoom::Invalid.new("A change must be a JSON object.") unless patch.is_a?(Hash)
      locked(revision) do
        before = @book.settings
        after = MergePatch.apply(before, patch)
        next if after == before
        write(before, after)
        record(label, before, after)
      end
    end

    # Rows that come in the block (imported layers) are recorded by what the document was before.
    def record_import(label)
      locked(nil) do
        before = @book.settings
        yield
        @book.reload
        after = @book.settings
        record(label, before, after)
      end
    end

    def undo
      step(@book.edits.where(undone: false).order(id: :desc).first, :before, true)
    end

    def redo
      step(@book.edits.where(undone: true).order(:id).first, :after, false)
    end

    private

    def step(change, side, undone)
      return @book unless change
      locked(nil) do
        write(@book.settings, change.public_send(side))
        change.update!(undone: undone)
      end
    end

    def locked(revision)
      @book.with_lock do
        raise Stale if revision && revision != @book.revision
        yield
        @book.reload
        @book.update!(revision: @book.revision + 1)
      end
      @book
    end

    def record(label, before, after)
      @book.edits.where(undone: true).delete_all
      @book.edits.create!(label: label.to_s[0, 200], before: before, after: after)
      @book.edits.where(id: @book.edits.order(id: :desc).offset(Edit::MOST_KEPT).limit(Edit::MOST_KEPT).pluck(:id)).delete_all
    end

    def write(before, after)
      refuse(after)
      BookRows.new(@book).write(after)
      @book.reload.weave if weave?(before, after)
    end

    def refuse(after)
      TileLoom::Book::Check.demand(after)
      if @book.reference != after["reference"] && @book.layers.any? { |layer| layer.feature_count.positive? }
        raise TileLoom::Invalid.new("The reference of a book that holds data cannot be changed yet; start a new book in #{after["reference"]} and bring the data in again.", path: "/reference")
      end
      unknown = after["layers"].map { |layer| layer["id"] } - Layer.where(book_id: @book.id).pluck(:key)
      raise TileLoom::Invalid.new("There is no data for the layer “#{unknown.first}”; bring it in as a file.", path: "/layers") if unknown.any?
    end

    def weave?(before, after) = WEAVE_KEYS.any? { |keys| before.dig(*keys) != after.dig(*keys) }
  end
end
