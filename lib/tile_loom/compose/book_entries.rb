# frozen_string_literal: true

module TileLoom
  module Compose
    # What any sheet of a book shows of what its legends can list. Sheets are looked at one after another, each only for
    # the layers of which something is still to be found.
    class BookEntries
      # known: Symbology::LegendEntry list, the topmost first; ppi: see SheetComposer.
      def initialize(book, source, known, ppi:)
        @book, @source, @known, @ppi = book, source, known, ppi
      end

      # Those of them that are on a sheet, in the same order.
      def entries
        found = {}
        @book
          .cells(@source)
          .each do |cell|
            layers = open_layers(found)
            break if layers.empty?
            drawing(cell, layers).entries.each { |entry| found[entry.key] ||= entry }
          end
        @known.filter_map { |entry| found[entry.key] }
      end

      private

      def open_layers(found)
        wanted = @known.reject { |entry| found.key?(entry.key) }.map { |entry| entry.layer.id }.uniq
        @book.layers.select { |layer| wanted.include?(layer.id) }
      end

      def drawing(cell, layers)
        view =
          View::FrameView.new(
            frame: @book.layout.main_frame.box(@book.layout.page),
            ground: cell.ground,
            crs: @book.crs
          )
        View::GroundDrawing.new(
          layers: layers,
          source: @source,
          view: view,
          names: false,
          ppi: @ppi,
          on_sheet: Standing.of(@book, @source, cell)
        )
      end
    end
  end
end
