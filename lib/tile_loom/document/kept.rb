# frozen_string_literal: true

module TileLoom
  module Document
    # A document as a book keeps it: whatever a person can tell apart has an id, by which changes, legends, frames and
    # work by hand know it. Data and cells lie beside it.
    module Kept
      module_function

      # settings: a checked document; before: the one that it takes the place of.
      def of(settings, before: {})
        own =
          said(settings).merge(
            "index" => without(settings.fetch("index", {}), "by_hand"),
            "layers" => same(settings["layers"]) { |entry| layer(entry) }
          )
        Contents.type.identified(own, before)
      end

      # Without lists that are as empty as if nothing were said of them.
      def said(settings)
        settings.reject do |name, value|
          value.respond_to?(:empty?) && value.empty? && Contents.parts[name.to_sym]&.default == value
        end
      end

      # An entry says whether it shows.
      def layer(entry)
        own = without(entry, "data")
        own.key?("visible") ? own : {"visible" => true}.merge(own)
      end

      # The very objects where nothing of them is another.
      def without(object, name) = object.key?(name) ? object.except(name) : object

      def same(list, &block)
        found = list.map(&block)
        (found.zip(list).all? { |one, other| one.equal?(other) }) ? list : found
      end

      private_class_method :said, :layer, :without, :same
    end
  end
end
