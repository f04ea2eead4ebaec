# frozen_string_literal: true

module App
  # A change of cells done to those that stand now, among which others may have changed some since: of each cell only
  # what the change makes another, so that the rest of it stays as others left it. Where they changed the same, that is
  # said.
  class CellMerge
    # Its place in the order is worked out for all cells together.
    ORDER = %w[cell_id number].freeze

    # change: a CellChange; rows: those that stand now; label: of the change, for refusals.
    def initialize(change, rows, label)
      @change, @label = change, label
      @now = rows.to_h { |row| [row["cell_id"], row] }
      @from, @to = [change.gone, change.come].map { |list| list.to_h { |row| [row["cell_id"], row] } }
    end

    # All rows as they are to be, in their order.
    def rows
      found = @now.merge(merged).compact
      refuse_doubled(found.values)
      ordered(found.values)
    end

    private

    # id → its row, nil for one that goes.
    def merged = (@from.keys | @to.keys).to_h { |id| [id, one(@now[id], @from[id], @to[id])] }

    def one(now, from, to)
      return came(now, to) unless from
      raise TileLoom::Refusal.new("changes.undone_cell_gone", label: @label, name: from["name"]) unless now
      return went(now, from) unless to
      changed(now, from, to)
    end

    def came(now, to)
      refuse(now) if now
      to
    end

    def went(now, from)
      refuse(now) unless now.except(*ORDER) == from.except(*ORDER)
      nil
    end

    def changed(now, from, to)
      others = to.reject { |name, value| ORDER.include?(name) || value == from[name] }
      clash = others.keys.find { |name| now[name] != from[name] }
      refuse_value(now, clash, from[clash]) if clash
      now.merge(others, "number" => place(now, from, to))
    end

    # Where the change moved it in the order it goes back there, else it stays.
    def place(now, from, to) = (from["number"] == to["number"]) ? now["number"] : to["number"]

    # Cells that the change is about come first where two have the same place.
    def ordered(rows)
      rows
        .sort_by { |row| [row["number"], @to.key?(row["cell_id"]) ? 0 : 1, row["cell_id"]] }
        .each_with_index
        .map { |row, place| row.merge("number" => place + 1) }
    end

    def refuse_doubled(rows)
      name, = rows.group_by { |row| row["name"] }.find { |_, list| list.length > 1 }
      raise TileLoom::Refusal.new("changes.undone_name", label: @label, name: name) if name
    end

    # What a person calls a member of a cell.
    MEMBERS = {
      "centre_x" => "centre easting",
      "centre_y" => "centre northing",
      "rotation_deg" => "rotation",
      "kept" => "mark “unchanged”"
    }.freeze

    def refuse_value(row, member, left)
      raise TileLoom::Refusal.new(
        "changes.undone_cell_value",
        label: @label,
        name: row["name"],
        part: MEMBERS.fetch(member, member),
        left: TileLoom::Document::PartName.value(left),
        now: TileLoom::Document::PartName.value(row[member])
      )
    end

    def refuse(row) = raise(TileLoom::Refusal.new("changes.undone_cell", label: @label, name: row["name"]))
  end
end
