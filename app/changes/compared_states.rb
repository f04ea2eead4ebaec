# frozen_string_literal: true

module App
  # Two states of a book side by side: what differs in words, and which pages there are to compare.
  class ComparedStates
    # So many differences are named; the rest is counted.
    MOST_NAMED = 200

    # before, after: Books, each as it was or as it stands (Book#as_it_was).
    def initialize(before, after)
      @before, @after = before, after
    end

    def to_h
      all = TileLoom::Document::Differences.new(@before.document, @after.document).to_a
      {
        "differences" => all.first(MOST_NAMED).map { |one| one.to_h.compact.transform_keys(&:to_s) },
        "more" => [all.length - MOST_NAMED, 0].max,
        "cells" => cells,
        "pages" => pages
      }
    end

    # Is a page drawn otherwise? numbers: of the page in the one and in the other.
    def differ?(number_before, number_after)
      raise TileLoom::Refusal.new("history.other_crs", crs: @before.crs.name) if @before.reference != @after.reference
      one, other = Snapshot.of(@before), Snapshot.of(@after)
      return false if one.fingerprint == other.fingerprint && number_before == number_after
      one.drawn(number_before) != other.drawn(number_after)
    end

    private

    # Names of the sheets whose cells came, went, moved, and were renamed ("A1 → A2"); whether their order is another.
    def cells
      were, are = [@before, @after].map { |book| book.index.rows.to_h { |row| [row["cell_id"], row] } }
      both = were.keys & are.keys
      {
        "added" => names(are.except(*both)),
        "removed" => names(were.except(*both)),
        "changed" => both.select { |id| place(were[id]) != place(are[id]) }.map { |id| are[id]["name"] },
        "renamed" => both.filter_map { |id| renamed(were[id]["name"], are[id]["name"]) },
        "reordered" => both != both.sort_by { |id| are[id]["number"] }
      }
    end

    def names(rows) = rows.values.map { |row| row["name"] }

    def renamed(before, after) = (before == after) ? nil : "#{before} → #{after}"

    def place(row) = row.values_at(*%w[scale centre_x centre_y width height rotation_deg])

    # Pages that are the same one in both, by cell or by id: numbers before and after, nil where it is not there.
    def pages
      were, are = [@before, @after].map { |book| keyed(book) }
      (are.keys | were.keys).map do |key|
        before, after = were[key], are[key]
        {"name" => (after || before)[1], "before" => before&.first, "after" => after&.first}
      end
    end

    def keyed(book)
      snapshot = Snapshot.of(book)
      ids = snapshot.cells.to_h { |cell| [cell.number, cell.id] }
      seen = Hash.new(0)
      snapshot.run.book_pages.to_h do |book_page|
        number = book_page.number
        key = number.positive? ? "cell #{ids[number]}" : "page #{book_page.name}"
        [[key, seen[key] += 1], [number, book_page.name]]
      end
    end
  end
end
