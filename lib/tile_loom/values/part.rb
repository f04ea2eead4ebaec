# frozen_string_literal: true

module TileLoom
  module Values
    # A part of an object: its name in Ruby, its key in JSON, its type, what stands where it is not given.
    # default: JSON that stands for it; under: members that stand where it is given without them.
    class Part
      attr_reader :name, :key, :type, :default, :required

      def initialize(name, type, key: name.to_s, default: nil, under: nil, required: false, about: nil)
        @name, @type, @key, @default, @under, @required, @about = name, type, key, default, under, required, about
      end

      def schema(definitions)
        under = @under && {"properties" => @under.transform_values { |value| {"default" => value} }}
        {"description" => @about, **@type.schema(definitions), **under.to_h, "default" => @default}.compact
      end

      # The value of it in an object, or nil where nothing stands for it. path: of the object.
      def read(object, path:, assets:)
        json = object.fetch(key) { default }
        return nil if json.nil?
        json = @under.merge(json) if @under
        @type.read(json, path: "#{path}/#{key}", assets: assets)
      end
    end
  end
end
