# frozen_string_literal: true

module App
  # The grid index of a book and the cells that were woven by it.
  class GridIndex < ActiveRecord::Base
    belongs_to :book
    has_many :cells, -> { order(:number) }

    attribute :settings, :json
    # What the cells were woven with: {"frame" => [width_mm, height_mm], "study" => {layer => edition}}.
    attribute :woven, :json

    BATCH = 5_000
    COLUMNS = %w[
      cell_id
      number
      name
      row
      column
      scale
      centre_x
      centre_y
      width
      height
      rotation_deg
      kept
      pinned
      moved
      feature
    ].freeze

    TRUTHS = %w[kept pinned moved].freeze

    # Makes the cells these ones; only those that differ are written. Returns [rows that went, rows that came].
    def keep(cells, with: woven)
      refuse_beyond(cells)
      after = with_ids(cells.map { |cell| Cell.row_of(cell) })
      change = [rows - after, after - rows]
      exchange(*change)
      @rows = after.sort_by { |row| row["number"] }
      update!(woven: with)
      change
    end

    # The cells as plain rows, in order. They are many and asked for often, so that they come past Active
    # Record's types.
    def rows = @rows ||= read_rows

    def reload(*) = super.tap { @rows = nil }

    # Its settings as the core has them.
    def core = TileLoom::Index::Spec.new(settings, path: "/index")

    # The cells as the core has them.
    def core_cells = rows.map { |row| Cell.core_of(row) }

    # The one in the middle of the list, or nil.
    def middle_cell
      row = @rows ? rows[rows.length / 2] : read_rows(cells.offset(cells.count / 2).limit(1)).first
      row && Cell.core_of(row)
    end

    # How many stayed where they were through a change of frame or data.
    def kept_count = @rows ? rows.count { |row| row["kept"] } : cells.where(kept: true).count

    # Takes rows out and others in.
    def exchange(gone, fresh)
      fresh = with_ids(fresh)
      gone.each_slice(BATCH) do |slice|
        Cell.where(grid_index_id: id, number: slice.map { |row| row["number"] }).delete_all
      end
      fresh.each_slice(BATCH) { |slice| insert(slice) }
      association(:cells).reset
      @rows = nil
    end

    # What no sheet can show.
    LARGEST_PLACE, SCALES = 1e9, 1..1_000_000_000

    private

    # Cells that are new get an id that no other ever had; a cell that came back has its own.
    def with_ids(list)
      fresh = list.count { |row| row["cell_id"].nil? }
      return list if fresh.zero?
      last = self.class.where(id: id).lock.pick(:last_cell_id)
      self.class.where(id: id).update_all(last_cell_id: last + fresh)
      list.map { |row| row["cell_id"] ? row : row.merge("cell_id" => last += 1) }
    end

    def refuse_beyond(cells)
      lost =
        cells.find do |cell|
          ground = cell.ground
          numbers = [ground.centre_x, ground.centre_y, ground.width, ground.height, ground.rotation_deg]
          !SCALES.cover?(cell.scale) || !numbers.all? { |number| number.to_f.finite? && number.abs <= LARGEST_PLACE } ||
            !ground.width.positive? || !ground.height.positive?
        end
      if lost
        raise TileLoom::Refusal.new(
          "changes.cell_out_of_reach",
          name: lost.name,
          largest_scale: TileLoom::Units::Number.grouped(SCALES.end)
        )
      end
    end

    # Many rows in one statement: numbers as numbers, the name quoted by the driver.
    def insert(slice)
      connection = self.class.connection
      values = slice.map { |row| "(#{[id, *COLUMNS.map { |name| literal(connection, row[name]) }].join(",")})" }
      names = COLUMNS.map { |name| connection.quote_column_name(name) }
      connection.execute("INSERT INTO cells (grid_index_id,#{names.join(",")}) VALUES #{values.join(",")}")
    end

    def literal(connection, value)
      case value
      when Integer
        value
      when Float
        value.finite? ? value : raise(TileLoom::Failure.new("changes.cell_without_place"))
      else
        connection.quote(value)
      end
    end

    def read_rows(wanted = cells)
      query = wanted.select(*COLUMNS).to_sql
      self
        .class
        .connection
        .select_all(query)
        .to_a
        .each { |row| TRUTHS.each { |name| row[name] = row[name] == 1 || row[name] == true } }
    end
  end
end
