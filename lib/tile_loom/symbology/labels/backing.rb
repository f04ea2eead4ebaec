# frozen_string_literal: true

module TileLoom
  module Symbology
    module Labels
      # What stands behind a label, such as a box or the shield of a road's number.
      class Backing < Values::Value
        ELLIPSE_STEPS = 48
        # Of the height of a shield, where its sides begin to run together.
        SHIELD_SHOULDER = 0.55

        define "label_backing", about: "What stands behind a label."
        part :shape,
          choice(
            box: "box",
            rounded: "box with round corners",
            ellipse: "ellipse",
            hexagon: "hexagon",
            shield: "shield"
          ),
          default: "box"
        part :margin_mm, number(0..20), default: 0.6, about: "Between the text and its edge."
        part :fill, Scene::Fill::TYPE, default: {"colour" => "#fffdf6"}
        part :stroke, Scene::Stroke::TYPE

        # Flat ring about a Geometry::Box of text in page mm.
        def ring(box)
          room = box.grow(margin_mm)
          case shape
          when "rounded"
            room.rounded(room.height * 0.3)
          when "ellipse"
            # As large as holds the box's corners.
            room.grow(room.width * 0.2071, room.height * 0.2071).ellipse(ELLIPSE_STEPS)
          when "hexagon"
            hexagon(room)
          when "shield"
            shield(room)
          else
            room.corners
          end
        end

        # The Scene nodes of a ring.
        def nodes(ring) = [Scene::Path.new(runs: [ring], closed: true, fill: fill, stroke: stroke)]

        def scaled(factor) = reckoned(margin_mm: margin_mm * factor, stroke: stroke&.scaled(factor))

        private

        def hexagon(room)
          point = room.height / 2
          middle = (room.min_y + room.max_y) / 2
          [
            room.min_x,
            room.min_y,
            room.max_x,
            room.min_y,
            room.max_x + point,
            middle,
            room.max_x,
            room.max_y,
            room.min_x,
            room.max_y,
            room.min_x - point,
            middle
          ]
        end

        def shield(room)
          low = room.max_y + room.height * 0.45
          shoulder = room.min_y + (low - room.min_y) * SHIELD_SHOULDER
          middle = (room.min_x + room.max_x) / 2
          [
            room.min_x,
            room.min_y,
            room.max_x,
            room.min_y,
            room.max_x,
            shoulder,
            room.max_x - room.width * 0.14,
            shoulder + (low - shoulder) * 0.6,
            middle,
            low,
            room.min_x + room.width * 0.14,
            shoulder + (low - shoulder) * 0.6,
            room.min_x,
            shoulder
          ]
        end
      end
    end
  end
end
