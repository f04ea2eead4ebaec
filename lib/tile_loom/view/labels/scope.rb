# frozen_string_literal: true

module TileLoom
  module View
    module Labels
      # What the labels of one layer have in common in a view. layer: Symbology::Layer; window: Box in page mm beyond
      # which nothing is thought of; ground: the same in the view's CRS, not turned.
      class Scope
        attr_reader :drawing, :view, :window, :ground, :lines_ground, :lines_window

        # Lines are thought of no further round the frame than this.
        LINES_MM = 8.0

        # drawing: LayerDrawing; rank: of the layer among all, from the bottom; hand: Symbology::Labels::HandSet.
        def initialize(drawing, view, window, rank, hand)
          @drawing, @view, @window, @rank, @hand = drawing, view, window, rank, hand
          @texts = {}
          @keys = {}.compare_by_identity
          @ground = view.ground.box.grow(Placing::COLLAR_MM * view.units_per_mm)
          @lines_ground = view.ground.box.grow(LINES_MM * view.units_per_mm)
          @lines_window = view.frame.grow(LINES_MM)
        end

        def layer = drawing.layer

        # What the frame shows: the Box round it, and as a GEOS geometry; both in the view's CRS.
        def frame_box = @frame_box ||= view.ground.box

        def frame_shape = @frame_shape ||= view.ground.shape

        def hand(rule, feature, lines, number)
          return nil unless @hand.any?
          # A layer for the scale has rules of its own, in the same places.
          key = @keys[rule] ||= layer.key_of_label(rule)
          @hand.of(layer.id, key, feature, lines.join(" "), number)
        end

        # The Labelling::SetText of lines in a rule's type.
        def text(rule, lines) = (@texts[rule.object_id] ||= {})[lines] ||= Labelling::SetText.new(lines, rule)

        # What it costs to lose a label; of two alike that of the upper layer more.
        def worth(rule) = Placing::LOST + (rule.priority * Placing::LOST_MORE / 100).round + @rank
      end
    end
  end
end
