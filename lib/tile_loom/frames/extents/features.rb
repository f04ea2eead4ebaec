# frozen_string_literal: true

module TileLoom
  module Frames
    module Extents
      # The feature that the sheet is of, or features of a layer that meet a condition.
      class Features < Extent
        kind "features", "features", rank: 5
        part :layer, Values::Types::ID, about: "Without one, the feature that the sheet is of."
        part :condition,
          Conditions::ConditionType.new(of_sheet: true),
          key: "when",
          about: "Which features of the layer, in OGC CQL2 JSON; without it all."
        part :margin_percent, number(0..200), default: 10

        def alike? = !layer.nil? && !condition&.asks_sheet? && super

        def focus(sheet, crs)
          boxes = found(sheet).filter_map { |feature| Geometry::Geos.envelope(Geometry::Geos.read(feature.wkb)) }
          boxes.empty? ? nil : brought(boxes.flat_map(&:corners), sheet, crs)
        end

        private

        def found(sheet)
          return [sheet.on_sheet.own].compact unless layer
          all = sheet.source.features(layer, nil)
          return all unless condition
          all.select { |feature| condition.match?(feature.attributes, sheet.on_sheet.see(layer, feature)) }
        end
      end
    end
  end
end
