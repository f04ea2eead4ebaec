# frozen_string_literal: true

module TileLoom
  module Index
    # What the study area is made of, as the document states it: whole layers, the features of a layer
    # that meet a condition or were picked, shapes drawn by hand, any number of them together.
    class AreaChoice
      attr_reader :layers

      # settings: the id of a layer, or a list of parts {"layer", "when", "features"} and {"polygon"}.
      def initialize(settings, path: "/index/area")
        @path = path
        @parts = settings.is_a?(String) ? [{"layer" => settings}] : settings
        @conditions =
          @parts.map.with_index do |part, index|
            part["when"] && Data::Condition.new(part["when"], path: "#{path}/#{index}/when")
          end
        @layers = @parts.filter_map { |part| part["layer"] }.uniq
      end

      # Data::Feature list in the book's reference; box: only those that meet it.
      def features(source, box = nil) = by_layer(source, box).map(&:last)

      # The same as [id of its layer, Data::Feature]; nil for shapes drawn by hand.
      def by_layer(source, box = nil)
        @parts.each_with_index.flat_map do |part, index|
          if part["polygon"]
            [[nil, drawn(part, index)]]
          else
            chosen(part, index, source, box).map { |feature| [part["layer"], feature] }
          end
        end
      end

      # Names of the attributes that features of these layers have, as the first features tell.
      def attribute_names(source) = @layers.flat_map { |layer| source.attribute_names(layer) }.uniq

      # Refuses layers that are not there and conditions that do not fit their attributes.
      # types: layer id → {name → type}, or nil where they are not known.
      def check(ids, types = nil)
        missing = @layers - ids
        if missing.any?
          raise Invalid.new(
            "The study area “#{missing.first}” is not a layer of this book; choose one of #{ids.join(", ")}.",
            path: @path
          )
        end
        @parts.each_with_index do |part, index|
          types && @conditions[index]&.check_types(types.fetch(part["layer"], {}))
        end
        @parts.each_with_index { |part, index| drawn(part, index) if part["polygon"] }
      end

      private

      def chosen(part, index, source, box)
        features = source.features(part["layer"], box)
        features = features.select { |feature| @conditions[index].match?(feature.attributes) } if @conditions[index]
        picked = part["features"]&.to_h { |id| [id, true] }
        picked ? features.select { |feature| picked[feature.id] } : features
      end

      def drawn(part, index)
        ring = part["polygon"].flatten
        ring += ring.first(2) unless ring.first(2) == ring.last(2)
        shape = Geometry::Geos.read(Geometry::Wkb.polygon([ring.map(&:to_f)]))
        shape = shape.make_valid unless shape.valid?
        unless shape.area.positive?
          raise Invalid.new(
            "The drawn area has no inside; draw at least three corners that do not lie on one line.",
            path: "#{@path}/#{index}/polygon"
          )
        end
        Data::Feature.new(id: 0, wkb: Geometry::Geos.write(shape), attributes: {})
      end
    end
  end
end
