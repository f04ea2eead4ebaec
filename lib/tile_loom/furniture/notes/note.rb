# frozen_string_literal: true

module TileLoom
  module Furniture
    module Notes
      # One note on the ground: a text, or a line or a shape. Its places are of the ground, its sizes for paper.
      class Note < Values::Value
        place = Values::List.new(Values::Number.new, least: 2, most: 2)
        # Places that each kind has at the least and at the most.
        PLACES = {"text" => 1..2, "line" => 2..500, "rectangle" => 2..2, "ellipse" => 2..2, "area" => 3..500}.freeze

        define "note"
        part :id, Values::Types::ID, required: true
        part :kind, choice(*PLACES.keys), required: true
        part :places,
          list(place, least: 1, most: 500),
          required: true,
          about:
            "In the book's CRS. A text's middle, and where its leader line leads to; of a rectangle or an ellipse two opposite corners."
        part :text, text(most: 2000), default: "", about: "A new line begins another."
        part :face, Values::Types::FACE, default: "sans"
        part :size_pt, Values::Types::SIZE_PT, default: 8
        part :colour, Values::Types::COLOUR, default: "#8c2f39"
        part :rotation_deg, number(-360..360), default: 0, about: "Of a text, clockwise on the page."
        part :halo, Symbology::Labels::Halo.type, default: {}
        part :backing, Symbology::Labels::Backing.type
        part :stroke,
          Scene::Stroke::TYPE,
          default: {
            "width_mm" => 0.4,
            "colour" => "#8c2f39"
          },
          under: {
            "colour" => "#8c2f39"
          }
        part :fill, Scene::Fill::TYPE
        part :first_end, choice { LineEnds.keys }, about: "What a line begins with."
        part :last_end, choice { LineEnds.keys }, about: "What a line, or the leader line of a text, ends in."
        part :end_mm, number(above: 0, most: 200), default: 2.5, about: "Size of what it begins with and ends in."
        part :hidden, flag, default: false

        def text? = kind == "text"

        # Closed?
        def area? = %w[rectangle ellipse area].include?(kind)

        # What it is called where it is spoken of.
        def title = text.lines.first.to_s.strip.then { |line| line.empty? ? "#{kind} #{id}" : line[0, 60] }

        def typefaces = given?(:face) ? [["#{path}/face", face]] : []

        # Its geometry in the book's CRS as well-known binary.
        def wkb
          return Geometry::Wkb.point(*places.first) if text?
          area? ? Geometry::Wkb.polygon([ring]) : Geometry::Wkb.line(places.flatten)
        end

        # Of a GeoJSON Feature.
        def properties =
          {"kind" => kind, "text" => text, "colour" => colour, "size_pt" => text? ? size_pt : nil}.compact

        private

        ELLIPSE_STEPS = 96
        private_constant :ELLIPSE_STEPS

        # Closed and flat.
        def ring
          corners =
            case kind
            when "area"
              places.flatten
            else
              box = Geometry::Box.around(places.flatten)
              (kind == "ellipse") ? box.ellipse(ELLIPSE_STEPS) : box.corners
            end
          corners + corners.first(2)
        end

        def settle
          return if PLACES.fetch(kind).cover?(places.length)
          raise Refusal.new(
            "furniture.note_places",
            kind: kind,
            least: PLACES[kind].min,
            most: PLACES[kind].max,
            at: "#{path}/places"
          )
        end
      end
    end
  end
end
