# frozen_string_literal: true

module TileLoom
  module Compose
    module Roles
      # What there is to be explained in a legend.
      module Entries
        # Symbology::LegendEntry list of what a frame of this page drew, in drawing order; the main one where no id is
        # given.
        def legend_entries(id = nil)
          frame = (id && frame(id)) || main_frame or return []
          once(:legend_entries, frame.id) { frame.legend_entries(self) }
        end

        # All that a frame of this page can show, the topmost first, whatever this sheet has of it; the main one where
        # no id is given.
        def known_entries(id = nil)
          shown = ((id && frame(id)) || main_frame)&.layers_shown(book) || book.layers
          book.once([:known_entries, shown.map(&:object_id)]) do
            shown
              .select(&:visible?)
              .flat_map { |layer| layer.legend_entries(layer.raster? ? source.raster(layer.id)&.facts : nil) }
              .reverse
          end
        end

        # What any sheet of the book shows of it.
        def book_entries = book.once([:book_entries]) { BookEntries.new(book, source, known_entries, ppi: ppi).entries }
      end
    end
  end
end
