# frozen_string_literal: true

module App
  module Taken
    # How a layer looks: its symbols, labels, scales, title. Its data stay those of today; a layer that was removed
    # since comes back, on top.
    class LayerLook
      def initialize(moment, id)
        @then = moment.document
        @entry = @then["layers"].find { |entry| entry["id"] == id }
        raise TileLoom::Refusal.new("history.no_such_layer", layer: id) unless @entry
      end

      def on_ground? = false

      def cells? = false

      def document(now)
        layers = now["layers"]
        place = layers.index { |entry| entry["id"] == @entry["id"] }
        fresh = place ? layers.dup.tap { |list| list[place] = dated(layers[place]) } : [*layers, @entry]
        Taken.with_own(now, @then).merge("layers" => fresh)
      end

      private

      def dated(today) = @entry.except("version").merge(today.slice("version"))
    end
  end
end
