# frozen_string_literal: true

module App
  # The grid index of a book and the cells that were woven by it.
  class GridIndex < ActiveRecord::Base
    belongs_to :book
    has_many :cells, -> { order(:number) }

    attribute :settings, :json

    # Replaces the cells by those of a fresh weave.
    def keep(cells)
      Cell.where(grid_index_id: id).delete_all
      cells.each_slice(5_000) { |slice| Cell.insert_all(slice.map { |cell| Cell.row_of(cell).merge(grid_index_id: id) }) }
      association(:cells).reset
    end
  end
end
