# frozen_string_literal: true

module App
  # Operations on the cells of an index, each of which is known by its id: "replace" of /cells/17/name, centre (easting
  # and northing), scale, rotation_deg (clockwise) or pinned; "remove" of /cells/17; "move" of it in front of another in
  # the order, or to the end.
  class CellOperations
    # Member → what its value must be.
    MEMBERS = {
      "name" => ->(value) { value.is_a?(String) && value.length <= 2_000 },
      "centre" => ->(value) { value.is_a?(Array) && value.length == 2 && value.all?(Numeric) },
      "scale" => ->(value) { value.is_a?(Numeric) },
      "rotation_deg" => ->(value) { value.is_a?(Numeric) && value.between?(-180, 180) },
      "pinned" => ->(value) { [true, false].include?(value) }
    }.freeze

    # [those on the document, those on cells], each with its place in the list.
    def self.parted(operations)
      operations.each_with_index.partition do |operation, _|
        TileLoom::Document::Operations.names(operation).first != "cells"
      end
    end

    # operations: [[operation, place in the list], …]
    def initialize(book, operations)
      @book, @operations = book, operations
    end

    # Ids of the cells that they are about.
    def ids = @operations.map { |operation, _| names(operation)[1].to_i }.uniq

    # Do they put cells into an order by hand?
    def order? = @operations.any? { |operation, _| operation["op"] == "move" }

    # The cells with them done, one after the other.
    def cells
      @operations.reduce(@book.index.core_cells) { |cells, (operation, place)| done(cells, operation, place) }
    end

    private

    def names(operation) = TileLoom::Document::Operations.names(operation)

    def done(cells, operation, place)
      _, id, member, *rest = names(operation)
      cell = known(cells, id, operation, place)
      hand = @book.handwork(cells)
      return replaced(hand, cell, member, operation["value"], place) if operation["op"] == "replace" && rest.empty?
      refuse(operation, place) if member
      case operation["op"]
      when "remove"
        hand.remove([cell.number])
      when "move"
        hand.place_at(cell.number, place_before(cells, cell, operation["before"]))
      else
        refuse(operation, place)
      end
    end

    def known(cells, id, operation, place)
      found = id.to_s.match?(/\A\d{1,16}\z/) && cells.find { |cell| cell.id == id.to_i }
      found ||
        raise(
          TileLoom::Refusal.new(
            "changes.part_gone",
            path: TileLoom::Document::Operations.shown(operation),
            at: "/operations/#{place}"
          )
        )
    end

    def replaced(hand, cell, member, value, place)
      unless MEMBERS[member]&.call(value)
        raise TileLoom::Refusal.new(
          "changes.no_member_of_cell",
          member: member.to_s[0, 40],
          known: MEMBERS.keys.join(", "),
          at: "/operations/#{place}"
        )
      end
      case member
      when "name"
        hand.rename(cell.number, value)
      when "centre"
        hand.move([cell.number], value[0] - cell.ground.centre_x, value[1] - cell.ground.centre_y)
      when "scale"
        hand.scale([cell.number], value)
      when "rotation_deg"
        hand.turn([cell.number], value)
      else
        hand.pin([cell.number], value)
      end
    end

    # Where it stands then; behind all where the other is gone, or none is named.
    def place_before(cells, cell, before)
      other = cells.find { |known| known.id.to_s == before.to_s } or return cells.length
      other.number - ((cell.number < other.number) ? 1 : 0)
    end

    def refuse(operation, place)
      raise TileLoom::Refusal.new(
        "changes.no_such_cell_operation",
        path: TileLoom::Document::Operations.shown(operation),
        at: "/operations/#{place}"
      )
    end
  end
end
