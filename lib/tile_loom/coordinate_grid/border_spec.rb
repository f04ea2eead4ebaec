# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # A frame's border as the document has it; its kind (borders/) draws it.
    class BorderSpec < Values::Value
      inner = {
        colour: Values::Part.new(:colour, Values::Types::COLOUR, about: "The border's own where none is given."),
        width_mm: Values::Part.new(:width_mm, Values::Number.new(0..10), default: 0.15)
      }
      steps = {
        grid: Values::Part.new(:grid, Values::Types::ID),
        mm: Values::Part.new(:mm, Values::Number.new(0.5..2000))
      }

      define "border"
      part :kind, Borders.choice, default: "plain"
      part :colour, Values::Types::COLOUR, default: "#1f2a30"
      part :width_mm, number(above: 0, most: 100), default: 0.35, about: "Of its line."
      part :dash_mm, Scene::Stroke::PARTS[:dash_mm].type
      part :opacity, Values::Types::OPACITY, default: 1
      part :cap, Scene::Stroke::PARTS[:cap].type, default: "butt"
      part :join, Scene::Stroke::PARTS[:join].type, default: "miter"
      part :gap_mm, number(0..50), default: 0, about: "Margin between the ground and the border."
      part :thickness_mm,
        number(above: 0, most: 50),
        about: "From its inner to its outer edge; as the kind has it where none is given."
      part :inner,
        Values::Record.new(nil, inner) { |**found| found },
        default: {},
        about: "The line at the ground's edge where there is a margin; width 0 for none."
      part :steps,
        Values::Record.new(nil, steps) { |**found| found },
        default: {},
        about: "By a grid's lines (the first one's where none is named), or evenly by about so many mm."
      take Borders.own_parts

      # The Scene::Stroke of its line. Corners of a border are sharp.
      def stroke
        Scene::Stroke.new(colour: colour, width_mm: width_mm, dash_mm: dash_mm, opacity: opacity, join: "miter")
      end
    end
  end
end
