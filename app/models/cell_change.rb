# frozen_string_literal: true

require "json"
require "zlib"

module App
  # What a change did to the cells of an index: the rows that went and those that came, and what the index was generated
  # with before and after. Undo and redo put them back as they were, whatever made them.
  class CellChange
    # Rows as GridIndex has them; generated_with: [before, after].
    attr_reader :gone, :come, :generated_with

    # Runs the block, which keeps cells (GridIndex#keep) and answers what that gave, and returns its effect; nil where
    # the block kept none.
    def self.around(index)
      before = index.generated_with
      gone, come = yield || return
      new(gone, come, [before, index.generated_with])
    end

    # As an Edit keeps it.
    def self.read(bytes)
      kept = JSON.parse(Zlib::Inflate.inflate(bytes))
      new(*kept["rows"], kept["generated_with"])
    end

    # One after the other as one; nil of none.
    def self.joined(changes)
      return changes.first if changes.length < 2
      gone, come = {}, {}
      changes.each do |change|
        change.gone.each do |row|
          id = row["cell_id"]
          come.delete(id) || gone[id] = row
        end
        change.come.each { |row| come[row["cell_id"]] = row }
      end
      same = come.select { |id, row| gone[id] == row }.keys
      new(
        gone.except(*same).values,
        come.except(*same).values,
        [changes.first.generated_with[0], changes.last.generated_with[1]]
      )
    end

    def initialize(gone, come, generated_with)
      @gone, @come, @generated_with = gone, come, generated_with
    end

    def to_bytes =
      Zlib::Deflate.deflate(
        JSON.generate({"rows" => [gone, come], "generated_with" => generated_with}),
        Zlib::BEST_SPEED
      )

    # Of all cells that it is about.
    def ids = [*gone, *come].map { |row| row["cell_id"] }.uniq

    # Does it leave cells and all that is known of them as they were?
    def none? = gone.empty? && come.empty? && generated_with.uniq.one?

    # The change that takes this one back.
    def reversed = self.class.new(come, gone, generated_with.reverse)

    # Rows by id with the change done to them.
    def walked(rows)
      rows = rows.except(*gone.map { |row| row["cell_id"] })
      come.each { |row| rows[row["cell_id"]] = row }
      rows
    end

    # Does it in an index in which others may have changed cells meanwhile; Refusal where those are the same. label: of
    # the change that is undone or redone. Returns what it came to: a CellChange.
    def put(index, label:)
      rows = CellMerge.new(self, index.rows, label).rows
      with =
        (index.generated_with == generated_with.first) ? generated_with.last : index.generated_with&.except("plain")
      before = index.generated_with
      change = [index.rows - rows, rows - index.rows]
      index.exchange(*change)
      index.update!(generated_with: with)
      self.class.new(*change, [before, with])
    end
  end
end
