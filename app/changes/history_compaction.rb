# frozen_string_literal: true

module App
  # Makes the history of a book smaller where it is old: steps of one hand are merged by hour, and later by day, into
  # one that leads from what was before the first to what was behind the last. What is asked for by name stays: named
  # versions and the book as it was exported.
  class HistoryCompaction
    # Until then every step stays, in seconds.
    STEPS_S, HOURS_S = 30 * 86_400, 365 * 86_400

    LONGEST_LABEL = 200

    def initialize(book, now: Time.now.utc)
      @book, @now = book, now
    end

    # How many steps went into others.
    def run
      @book.with_lock do
        found = groups
        next 0 if found.empty?
        moment = History.new(@book).at(edit_before(found.first.first.position))
        found.sum { |group| merge(group, moment = up_to(moment, group)) }
      end
    end

    private

    # Positions have gaps where steps were merged.
    def edit_before(position) = @book.edits.where("position < ?", position).maximum(:position) || 0

    # Runs of steps that are to be one, each longer than one.
    def groups
      marked = History.new(@book).marked.to_set
      edits =
        @book
          .edits
          .where("created_at < ?", @now - STEPS_S)
          .order(:position)
          .select(:id, :position, :session, :created_at, :steps)
          .to_a
      edits.slice_when { |one, other| marked.include?(one.position) || span(one) != span(other) }.reject(&:one?)
    end

    def span(edit)
      at = edit.created_at
      [edit.session, (@now - at > HOURS_S) ? at.to_date : at.strftime("%F %H")]
    end

    # The book before the first of a group. moment: before an earlier one, or nil.
    def up_to(moment, group)
      first = group.first.position
      between = @book.edits.where("position > ? AND position < ?", moment.position, first).order(:position).to_a
      moment.walked(between, "forth").tap { |found| found.position = first - 1 }
    end

    def merge(group, before)
      edits = @book.edits.where(id: group.map(&:id)).order(:position).to_a
      after = before.walked(edits, "forth").document
      cells = CellChange.joined(edits.filter_map(&:cell_change))
      ways = Edit.ways(before.document, after)
      last = edits.last
      Edit.where(id: edits.map(&:id) - [last.id]).delete_all
      BookState
        .where(book_id: @book.id)
        .where("position >= ? AND position < ?", edits.first.position, last.position)
        .delete_all
      last.update!(
        label: label(edits),
        **ways,
        cells: cells&.to_bytes,
        touched: Edit.touched(ways[:operations], cells),
        about: nil,
        state: Edit::STEP,
        steps: edits.sum(&:steps),
        began_at: edits.first.began_at
      )
      edits.length - 1
    end

    # What was done, the most frequent first.
    def label(edits)
      edits.map(&:label).tally.sort_by { |_, count| -count }.map(&:first).join(", ")[0, LONGEST_LABEL]
    end
  end
end
