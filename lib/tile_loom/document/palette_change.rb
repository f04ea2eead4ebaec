# frozen_string_literal: true

module TileLoom
  module Document
    # A change of the book's palette, as a merge patch on its document: a colour gets an ink, an ink other values, or is
    # taken away. What is drawn in the ink's colour is drawn in what the profile makes of its values, so that the screen
    # shows what is printed.
    class PaletteChange
      # Parts of the document that hold colours.
      PARTS = %w[layers markers layout index_layout pages looks].freeze

      # colour: on the screen ("#rrggbb"), of the book or of the ink that is meant; ink: its values as the document has
      # them, nil for those that the profile gives; remove: is it taken out?
      def initialize(colour, ink: nil, remove: false, profile: Artwork::IccProfile.shipped("coated"))
        @colour, @ink, @remove, @profile = colour.downcase, ink, remove, profile
      end

      # settings: the document. Returns the patch.
      def patch(settings)
        palette = settings["palette"] || []
        place = palette.index { |ink| ink["colour"].casecmp?(@colour) }
        if @remove
          raise gone unless place
          return {"palette" => palette.reject.with_index { |_, index| index == place }}
        end
        ink = settled(palette, place)
        fresh = place ? palette.dup.tap { |list| list[place] = ink } : [*palette, ink]
        {"palette" => fresh, **recoloured(settings, ink["colour"])}
      end

      private

      def gone = Refusal.new("palette.no_such_ink", colour: @colour, at: "/colour")

      def settled(palette, place)
        raise gone if @ink && place.nil?
        values = @ink ? @ink.except("colour") : {"name" => "Ink #{palette.length + 1}", "cmyk" => of_screen}
        others = palette.reject.with_index { |_, index| index == place }
        if others.any? { |other| other["name"] == values["name"] }
          raise Refusal.new("palette.name_taken", name: values["name"], at: "/ink/name")
        end
        {"colour" => look(values["cmyk"], place ? palette[place] : nil, others), **values}
      end

      def of_screen = @profile.of_screen(@colour).map { |share| (share * 100).round(1) }

      # How the values look; two inks that look the same are told apart by the smallest step of blue.
      def look(cmyk, before, others)
        return before["colour"] if before && before["cmyk"] == cmyk
        colour = @profile.on_screen(cmyk.map { |percent| percent / 100.0 })
        taken = others.map { |other| other["colour"].downcase }
        colour = next_to(colour) while taken.include?(colour)
        colour
      end

      def next_to(colour) = colour[0, 5] + format("%02x", (colour[5, 2].hex + 1) % 256)

      def recoloured(settings, fresh)
        return {} if fresh == @colour
        settings.slice(*PARTS).transform_values { |part| replaced(part, fresh) }
      end

      def replaced(part, fresh)
        case part
        when Hash
          found = part.transform_values { |value| replaced(value, fresh) }
          # Colours stand within the tags of a styled text.
          found["text"] = found["text"].gsub(/#{@colour}\b/i, fresh) if part["markup"] == true && found["text"]
          found
        when Array
          part.map { |value| replaced(value, fresh) }
        when String
          part.casecmp?(@colour) ? fresh : part
        else
          part
        end
      end
    end
  end
end
