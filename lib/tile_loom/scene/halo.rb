# frozen_string_literal: true

module TileLoom
  module Scene
    # A lighter rim under lines and text so that they can be read over the map; width_mm: nil where it is left to what
    # it lies under.
    Halo =
      Struct.new(:colour, :width_mm, keyword_init: true) do
        prepend Node

        # The Stroke that is drawn under text.
        def under_text = Stroke.new(colour: colour, width_mm: width_mm || Halo::TEXT_MM)
      end

    # How wide the rim of text is where nothing is said.
    Halo::TEXT_MM = 0.6

    width = Values::Number.new(0..20)
    Halo::PARTS = {
      colour: Values::Part.new(:colour, Values::Types::COLOUR, default: "#ffffff"),
      width_mm: Values::Part.new(:width_mm, width)
    }.freeze
    about = "A lighter rim so that it can be read over the map."
    Halo::TYPE = Values::Record.new("halo", Halo::PARTS, about: about) { |**parts| Halo.new(**parts) }
  end
end
