# frozen_string_literal: true

module TileLoom
  module Index
    # A part of the study area: a layer (all of it, the features that meet a condition, or those of these identities),
    # or a shape drawn by hand.
    class AreaPart < Values::Value
      polygon = {
        "required" => ["polygon"],
        "not" => {
          "anyOf" => [{"required" => ["when"]}, {"required" => ["features"]}]
        }
      }
      corner = Values::List.new(Values::Number.new(-1_000_000_000..1_000_000_000), least: 2, most: 2)

      about =
        "A layer (all of it, the features that meet a condition, or those of these identities), or a polygon drawn " \
          "by hand as [x, y] corners in the book's reference."
      define "areaPart", about: about, oneOf: [{"required" => ["layer"]}, polygon]
      identified
      part :layer, Values::Types::ID
      part :condition, Conditions::ConditionType.new, key: "when"
      part :features, list(Values::Plain.new({"type" => "integer"}), least: 1, most: 100_000)
      part :polygon, list(corner, least: 3, most: 10_000)

      # Data::Feature list; box: only those that meet it.
      def found(source, box)
        return [drawn] if polygon
        known = source.features(layer, box)
        known = known.select { |feature| condition.match?(feature.attributes) } if condition
        wanted = features&.to_h { |id| [id, true] }
        wanted ? known.select { |feature| wanted[feature.id] } : known
      end

      # The shape drawn by hand as a feature; Refusal for one without an inside.
      def drawn
        ring = polygon.flatten
        ring += ring.first(2) unless ring.first(2) == ring.last(2)
        shape = Geometry::Geos.read(Geometry::Wkb.polygon([ring]))
        shape = shape.make_valid unless shape.valid?
        raise Refusal.new("index.area_without_inside", at: "#{path}/polygon") unless shape.area.positive?
        Data::Feature.new(id: 0, wkb: Geometry::Geos.write(shape), attributes: {})
      end
    end
  end
end
