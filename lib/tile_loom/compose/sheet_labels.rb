# frozen_string_literal: true

module TileLoom
  module Compose
    # The labels of a page's main frame, one by one, for those who place them by hand; and those of all its frames that
    # have no room.
    class SheetLabels
      # composer: of the page.
      def initialize(composer) = @composer = composer

      # placed, unplaced: see below; to_ground: from page mm to the CRS of the book, [a, b, c, d, e, f].
      def to_h =
        {
          "placed" => main ? main.placed_labels(@composer).map { |label| placed(label) } : [],
          "unplaced" => unplaced,
          "to_ground" => main && @composer.view.inverse.to_a
        }

      # Where they belong, in mm of the page.
      def unplaced
        @composer
          .elements
          .select(&:gridded?)
          .flat_map do |frame|
            frame
              .unplaced_labels(@composer)
              .map do |unplaced|
                {
                  "layer" => unplaced.title,
                  "text" => unplaced.string,
                  "frame" => frame.title,
                  "x" => unplaced.x.round(2),
                  "y" => unplaced.y.round(2)
                }
              end
          end
      end

      private

      # Moved by hand are labels of the book's own CRS alone.
      def main
        return @main if defined?(@main)
        frame = @composer.main_frame
        view = frame&.view_on(@composer)
        @main = (view && !view.globe? && view.crs == @composer.book.crs) ? frame : nil
      end

      KINDS = {1 => "point", 4 => "point", 2 => "line", 5 => "line", 3 => "area", 6 => "area"}.freeze

      # place: the middle of what it takes; x, y: where it belongs; rings: what it takes; all in mm of the page.
      def placed(label)
        {
          "layer" => label.layer.id,
          "layer_title" => label.layer.title,
          "rule" => label.layer.key_of_label(label.rule),
          "feature" => feature(label),
          "number" => label.number,
          "kind" => KINDS[label.feature.wkb.getbyte(1)],
          "text" => label.string,
          "x" => label.x.round(3),
          "y" => label.y.round(3),
          "middle" => label.middle.map { |mm| mm.round(3) },
          "rings" => label.rings.map { |ring| ring.map { |mm| mm.round(2) } },
          "by_hand" => !label.hand.nil?
        }
      end

      # By what it is known when new data come: see Symbology::Labels::ByHand.
      def feature(label)
        rule = label.rule
        if rule.together?
          return {"text" => rule.lines_of(label.feature.attributes, @composer.book.language).join(" ")}
        end
        field = @composer.source.telling_field(label.layer.id)
        return {"id" => label.feature.id.to_s} unless field
        {"field" => field, "value" => label.feature.attributes[field].to_s}
      end
    end
  end
end
