# frozen_string_literal: true

module TileLoom
  module Index
    # What the study area is made of, as the document states it: whole layers, the features of a layer
    # that meet a condition or were selected, shapes drawn by hand, any number of them together.
    class AreaChoice
      # As a part of the document: the id of a layer, or a list of parts.
      class Reading < Values::Type
        PARTS = Values::List.new(AreaPart.type, least: 1, most: 100, ids: Values::EntryIds.new("part"))

        def schema(definitions) = {"oneOf" => [Values::Types::ID.schema(definitions), PARTS.schema(definitions)]}

        def identified(json, before) = PARTS.identified(json, before)

        def read(json, path:, assets: nil)
          parts = json.is_a?(String) ? [{"layer" => json}] : json
          AreaChoice.new(PARTS.read(parts, path: path, assets: assets), path: path)
        end
      end

      attr_reader :layers

      # parts: AreaPart list.
      def initialize(parts, path: "/index/area")
        @parts, @path = parts, path
        @layers = parts.filter_map(&:layer).uniq
        freeze
      end

      # Of JSON that the schema has checked.
      def self.read(json) = Reading.new.read(json, path: "/index/area")

      # Data::Feature list in the book's reference; box: only those that meet it.
      def features(source, box = nil) = by_layer(source, box).map(&:last)

      # The same as [id of its layer, Data::Feature]; nil for shapes drawn by hand.
      def by_layer(source, box = nil) =
        @parts.flat_map { |part| part.found(source, box).map { |feature| [part.layer, feature] } }

      # Names of the attributes that features of these layers have, as the first features tell.
      def attribute_names(source) = @layers.flat_map { |layer| source.attribute_names(layer) }.uniq

      # Refuses layers that are not there and conditions that do not fit their attributes.
      # types: layer id → {name → type}, or nil where they are not known.
      def check(ids, types = nil)
        missing = @layers - ids
        raise Refusal.new("index.no_such_area", area: missing.first, known: ids.join(", "), at: @path) if missing.any?
        @parts.each do |part|
          part.condition&.check_types(types.fetch(part.layer, {})) if types
          part.drawn if part.polygon
        end
      end
    end
  end
end
