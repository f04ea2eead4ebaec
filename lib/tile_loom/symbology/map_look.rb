# frozen_string_literal: true

module TileLoom
  module Symbology
    # A look of the maps under a name: the layers that are shown, each as opaque as it is then; the others are not.
    class MapLook < Values::Value
      define "map_look", about: "Layers that the maps show together, under a name."
      shown = {
        id: Values::Part.new(:id, Values::Types::ID, required: true),
        opacity: Values::Part.new(:opacity, Values::Types::OPACITY),
        rules:
          Values::Part.new(
            :rules,
            Values::List.new(Rule.type, least: 1, most: 200, ids: Rule::IDS),
            about: "Its symbols in this look; its own where none are given."
          ),
        labels:
          Values::Part.new(
            :labels,
            Values::List.new(Labels::Rule.type, most: 40, ids: Rule::IDS),
            about: "Its labels in this look, none where the list is empty; its own where nothing is said."
          ),
        raster: Values::Part.new(:raster, RasterLook.union, about: "How the raster is shown in this look.")
      }
      part :id, Values::Types::ID, about: "By which frames know it, whatever becomes of its title."
      part :title, text(least: 1, most: 60), required: true
      part :layers, list(Values::Record.new(nil, shown) { |**found| found }, most: 500), required: true

      # The layers of a book as this look has them, in the same order; those that it does not show are left out.
      def applied(all)
        by_id = layers.to_h { |entry| [entry[:id], entry] }
        all.filter_map { |layer| by_id[layer.id]&.then { |entry| layer.looking(**entry.except(:id)) } }
      end
    end
  end
end
