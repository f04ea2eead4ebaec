# frozen_string_literal: true

module TileLoom
  module MapLegend
    # A row in its place. entries: those of the map that it shows on a sheet; known: all that it stands for; index: of
    # the row among those arranged by hand, or nil; fresh: is it of the map and waits to be arranged?
    Placed =
      Struct.new(:row, :entries, :known, :index, :fresh, keyword_init: true) do
        def name = row.name(known)

        # Did all that it stands for leave the map?
        def gone? = row.keys.any? && known.empty?
      end
  end
end
