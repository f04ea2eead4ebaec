# frozen_string_literal: true

module TileLoom
  module Document
    # A first book for a set of layers: sober symbols by kind of geometry, a ready design.
    module Starter
      COLOURS = %w[#3d6b35 #2f74a8 #7a4b22 #8c2f39 #5b4a8a #2f6f73].freeze

      module_function

      # layers: [{id, title, kind: "point" | "line" | "area", data}]; date: of the book, as ISO 8601 has it, or "";
      # returns the settings of a document.
      def document(
        title:,
        reference:,
        layers:,
        area:,
        scale:,
        size: "A3",
        orientation: "landscape",
        design: "side-panel",
        date: ""
      )
        {
          "format" => "tile-loom-book",
          "version" => Contents::VERSION,
          "title" => title,
          "subtitle" => "",
          "author" => "",
          "subject" => "",
          "source" => "",
          "date" => date,
          "crs" => reference,
          "layers" => layers.each_with_index.map { |layer, index| layer(layer, index) },
          "layout" => layout(size, orientation, design),
          "index" => {
            "kind" => "grid",
            "area" => area,
            "buffer" => "0 m",
            "scale" => scale,
            "held" => "projection",
            "overlap_mm" => 5
          }
        }
      end

      # Settings of the layout of a ready-made design on paper of a size.
      def layout(size, orientation, design)
        {
          "name" => design,
          "page" => {
            "size" => size,
            "orientation" => orientation,
            "margins_mm" => {
              "top" => 10,
              "right" => 10,
              "bottom" => 10,
              "left" => 10
            }
          },
          "elements" => Layout::Designs.elements(design)
        }
      end

      def layer(given, index)
        {
          "id" => given[:id],
          "title" => given[:title],
          "visible" => true,
          "data" => given[:data],
          "rules" => [{"title" => given[:title], "symbol" => symbol(given[:kind], COLOURS[index % COLOURS.length])}]
        }.compact
      end

      # kind: a key of Symbology::LayerKinds.
      def symbol(kind, colour) = Symbology::LayerKinds.of(kind).symbol(colour)

      # A layer id out of any text, not among those taken.
      def id_for(text, taken)
        base = text.unicode_normalize(:nfkd).gsub(/[^A-Za-z0-9]+/, "-").gsub(/\A-+|-+\z/, "").downcase[0, 60]
        base = "layer" if base.empty?
        return base unless taken.include?(base)
        (2..).lazy.map { |number| "#{base}-#{number}" }.find { |id| !taken.include?(id) }
      end
    end
  end
end
