# frozen_string_literal: true

module Bench
  # The book as one thing: its history, a change of one colour.
  class BookMeasures
    # folio_path: of the demo book.
    def initialize(folio_path) = @folio_path = folio_path

    # Rows of the table: [what, value].
    def rows
      found = DatabaseProofs.new(@folio_path, child: "history_child.rb").times
      [
        [
          "A history of #{found["steps"]} steps of the demo, a quarter of them moved cells, in the database",
          format("%.1f MB", found["bytes"] / 1e6)
        ],
        ["The book as it was behind any of them, p50 · the longest of 40", milliseconds(found["looks"], 0.5, 1)],
        [
          "One colour changed at #{found["layers"]} layers and #{found["cells"]} cells, answered, p50 · p95",
          milliseconds(found["times"], 0.5, 0.95)
        ],
        ["The same: bytes asked · answered", "#{found["sent"]} · #{found["answered"]}"]
      ]
    end

    private

    def milliseconds(times, *shares)
      sorted = times.sort
      shares.map { |share| format("%.0f ms", sorted[((sorted.length - 1) * share).round] * 1000) }.join(" · ")
    end
  end
end
