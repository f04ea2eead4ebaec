# frozen_string_literal: true

module App
  module Taken
    # The hand work on one sheet: place, size, scale, rotation and name of its cell, and what was done to labels on this
    # sheet alone. A cell that is gone comes back, behind the others.
    class OneCell
      def initialize(moment, id)
        @then = moment.document
        @row = moment.rows.find { |row| row["cell_id"] == id }
        raise TileLoom::Refusal.new("history.no_such_cell") unless @row
      end

      def on_ground? = true

      def cells? = true

      def document(now)
        older, today = [@then, now].map { |one| one.fetch("labels_by_hand", []) }
        list = today.reject { |label| mine?(label) } + older.select { |label| mine?(label) }
        list.empty? ? now.except("labels_by_hand") : now.merge("labels_by_hand" => list)
      end

      def keep_cells(index)
        today = index.rows.find { |row| row["cell_id"] == @row["cell_id"] }
        number = today ? today["number"] : index.rows.length + 1
        others = index.rows - [today]
        if others.any? { |row| row["name"] == @row["name"] }
          raise TileLoom::Refusal.new("history.name_taken", name: @row["name"])
        end
        index.keep([*others, @row.merge("number" => number)].map { |row| Cell.core_of(row) })
      end

      private

      def mine?(label) = label["sheet"] == @row["name"]
    end
  end
end
