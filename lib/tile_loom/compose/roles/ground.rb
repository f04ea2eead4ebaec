# frozen_string_literal: true

module TileLoom
  module Compose
    module Roles
      # What the layers of the book draw in a view.
      module Ground
        # What of the legend's entries the layers draw in a view, where nothing else of the drawing is asked for.
        def ground_entries(view, shown = all_layers)
          @entries_alone ? ground(view, shown, names: false).entries : ground_drawing(view, shown).entries
        end

        # What the layers draw in a view of this sheet: a View::GroundDrawing::Drawn. shown: a View::Shown.
        def ground_drawing(view, shown = all_layers)
          (@ground_drawings ||= {})[[view.crs.code, view.place, shown.key]] ||= kept_unless_tiles(
            shown.layers,
            "ground",
            book.key_of("crs", "layers", "looks", "markers", "faces", "design_scale"),
            view.crs.code,
            *view.place,
            @tolerance_mm,
            @names,
            @ppi,
            shown.key,
            *((shown.layers.any?(&:asks_sheet?) || shown.ground) ? on_sheet.key : [])
          ) { ground(view, shown).drawn }
        end

        # All that the book has, as it has it.
        def all_layers = @all_layers ||= View::Shown.new(layers: book.layers)

        # What was done by hand to the labels of its main frame.
        def labels_by_hand = @labels_by_hand ||= Symbology::Labels::HandSet.new(book.contents.labels_by_hand, name)

        # Who is to be named for background tiles of this sheet and is not by a text of it.
        def uncredited(layers)
          return [] if templates.any? { |_, template| template.include?("book.credits") }
          layers.filter_map { |layer| layer.tiles&.attribution }.uniq
        end

        private

        def ground(view, shown, names: @names && shown.names) =
          View::GroundDrawing.new(
            layers: shown.layers,
            source: source_in(view),
            view: view,
            tolerance_mm: [@tolerance_mm, shown.tolerance_mm].compact.max,
            names: names,
            things: @things,
            ppi: @ppi,
            on_sheet: on_sheet,
            exact: shown.exact,
            shown: shown.ground,
            taken: shown.taken,
            ring: shown.ring,
            hand: shown.hand,
            language: book.language,
            coarse_mm: @far && 25.4 / @ppi,
            far: (@far if view.crs == book.crs)
          )

        # The features as a view of another reference sees them.
        def source_in(view)
          return source if view.crs == book.crs
          kept = book.once([:elsewhere, view.crs.code, view.globe? ? view.horizon.reach_deg : nil]) { {} }
          Data::Elsewhere.new(source, kept) { passage(book.crs, view) }
        end

        # Tiles that did not come may come the next time; so may what is seen from afar.
        def kept_unless_tiles(layers, *key, &block)
          (@far || layers.any? { |layer| layer.visible? && layer.tiles }) ? block.call : part(*key, &block)
        end
      end
    end
  end
end
